<script setup lang="ts">
/** What a stage takes of each part for one dessert: grams, each with its working, and how thick. */
import type { Solved, Stage, Taken } from '../api/types'
import { figure } from '../kit/format'
import WorkedFigure from '../kit/WorkedFigure.vue'
import { sameChoice } from './parts'

const props = defineProps<{
  stage: Stage | undefined
  solved: Solved
  /** Whether what there are several of is named. */
  named: boolean
}>()
function workingOf(one: Taken) {
  if (one.mass_g === null) return null
  const part = props.solved.parts.find((other) => sameChoice(one, other))
  return (one.pour === null ? part?.mass : part?.pours?.[one.pour]?.mass) ?? null
}
</script>

<template>
  <div v-for="one in stage?.laid" :key="`${one.part}/${one.layer}/${one.pour}`">
    <span v-if="named && (stage?.laid.length ?? 0) > 1" class="of">{{ one.name }}</span>
    <WorkedFigure :working="workingOf(one)" :text="figure(one.mass_g ?? 0)" unit="g" />
    <span v-if="one.thick_mm" class="mm">{{ figure(one.thick_mm, 1) }} mm</span>
  </div>
</template>

<style scoped>
.of,
.mm {
  color: var(--muted);
  font-size: 0.92em;
}

.of {
  padding-right: 0.6em;
}

.mm {
  padding-left: 0.3em;
}
</style>
