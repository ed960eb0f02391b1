<script setup lang="ts">
/** How one dessert is divided: wedges or rows, so many, or so heavy. */
import { computed } from 'vue'

import { house } from '../api/house'
import type { Portions, Solved } from '../api/types'
import ChoiceField from '../kit/ChoiceField.vue'
import EntryField from '../kit/EntryField.vue'
import WorkedFigure from '../kit/WorkedFigure.vue'

const props = defineProps<{
  portions: Portions
  solved: Solved
  /** The same portions said each way that is of use here. */
  ways: Portions[]
  errorAt: (field: string) => string | undefined
  disabled: boolean
}>()
const emit = defineEmits<{ change: [portions: Portions] }>()

const wordsOf = (cut: Portions['cut']) => house.value.ways.find((one) => one.cut === cut)
const words = computed(() => wordsOf(props.portions.cut))
const options = computed(() =>
  props.ways.map(({ cut }) => ({ value: cut, label: wordsOf(cut)?.title ?? cut })),
)

function say(cut: Portions['cut']) {
  const said = props.ways.find((one) => one.cut === cut)
  if (said) emit('change', said)
}

/** Told by another number than its own, the number of pieces is said too. */
const counted = computed(() => props.portions.cut !== props.solved.division.cut)
</script>

<template>
  <div class="portions">
    <label class="way">
      <span class="eyebrow">Cut into</span>
      <ChoiceField
        :value="portions.cut"
        :options="options"
        :disabled="disabled"
        @change="(cut) => say(cut as Portions['cut'])"
      />
    </label>
    <EntryField
      v-for="one in words?.fields"
      :key="`${portions.cut}/${one.name}`"
      :words="one"
      :entry="portions"
      :disabled="disabled"
      :error="errorAt(`portions.${one.name}`) ?? errorAt('portions') ?? errorAt('portion_g')"
      @commit="(v) => v !== null && emit('change', { ...portions, [one.name]: v } as Portions)"
    />
  </div>
  <p v-if="solved.parts.length || solved.holds.length" class="each">
    <WorkedFigure
      v-if="solved.division_working"
      :working="solved.division_working"
      :text="String(solved.portions)"
      unit=""
    />
    <strong v-else-if="counted || solved.portions > 1">{{ solved.portions }}</strong>
    {{ solved.portions === 1 ? 'One portion,' : `${wordsOf(solved.division.cut)?.pieces},` }}
    <WorkedFigure :working="solved.portion" />
    <span v-if="solved.portions > 1"> each</span>
  </p>
</template>

<style scoped>
.portions {
  align-items: end;
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  justify-content: center;
}

.portions :deep(.field) {
  width: 78px;
}

.way {
  display: grid;
  min-width: 136px;
}

@media (max-width: 1100px) {
  .way {
    min-width: 122px;
  }

  .portions :deep(.field) {
    width: 72px;
  }
}

.each {
  font-size: 16px;
  text-align: center;
}
</style>
