<script setup lang="ts">
/** One stage of the building, large, with what it waits for. */
import type { Solved, Stage } from '../api/types'
import type { Look } from '../kit/flavors'
import { useWorking } from '../kit/working'
import StageAmounts from './StageAmounts.vue'
import StageDrawing from './StageDrawing.vue'

defineProps<{
  stage: Stage
  number: number
  of: number
  solved: Solved
  lookOf: (formula: string) => Look
}>()
const { show } = useWorking()
const emit = defineEmits<{ step: [by: 1 | -1]; close: [] }>()
</script>

<template>
  <section class="sheet" :aria-label="`Stage ${number}: ${stage.title}`">
    <StageDrawing :cut="solved.cut" :stage="stage" :look-of="lookOf" textured />
    <div class="words">
      <h2>
        <span class="number">{{ number }}</span> {{ stage.title }}
      </h2>
      <p>
        {{ stage.says }}
        <button v-if="stage.working" type="button" class="how" @click="show(stage.working)">
          How it comes about
        </button>
      </p>
      <StageAmounts :stage="stage" :solved="solved" named />
      <p v-for="(one, i) in stage.ahead" :key="i" class="ahead">Made ahead · {{ one }}</p>
      <p v-if="stage.wait_says" :class="['wait', { cold: stage.cold }]">
        Then {{ stage.wait_says }} <span class="quiet">({{ stage.wait_source }})</span>
      </p>
      <p v-if="stage.turned" class="quiet">
        Upside down in the mold: what is seen below will be the top.
      </p>
      <div class="walk">
        <button type="button" class="deed small" :disabled="number === 1" @click="emit('step', -1)">
          ← Before
        </button>
        <button type="button" class="deed small" :disabled="number === of" @click="emit('step', 1)">
          Next →
        </button>
        <button type="button" class="deed small" @click="emit('close')">Back to the cut</button>
      </div>
    </div>
  </section>
</template>

<style scoped>
.sheet {
  align-content: start;
  display: grid;
  gap: 14px;
}

.sheet > svg {
  max-height: 300px;
}

.words {
  background: var(--paper);
  border: 1px solid var(--rule);
  border-radius: 12px;
  display: grid;
  gap: 8px;
  padding: 14px 18px;
}

.how {
  background: none;
  border: 0;
  color: var(--fern);
  cursor: pointer;
  padding: 0 0 0 6px;
  text-decoration: underline;
}

.number {
  color: var(--bronze-text);
}

.wait {
  font-weight: 600;
}

.wait.cold {
  color: var(--frost-text);
}

.ahead {
  border-left: 3px solid var(--bronze);
  padding-left: 9px;
}

.walk {
  display: flex;
  gap: 8px;
  margin-top: 4px;
}
</style>
