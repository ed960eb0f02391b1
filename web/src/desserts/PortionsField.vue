<script setup lang="ts">
/** How one dessert is divided: wedges or rows, so many, or so heavy. */
import { computed } from 'vue'

import type { Portions, Solved } from '../api/types'
import ChoiceField from '../kit/ChoiceField.vue'
import NumberField from '../kit/NumberField.vue'
import WorkedFigure from '../kit/WorkedFigure.vue'

const props = defineProps<{
  portions: Portions
  solved: Solved
  round: boolean
  errorAt: (field: string) => string | undefined
  disabled: boolean
}>()
const emit = defineEmits<{ change: [portions: Portions] }>()

type Way = Portions['cut']
const WORDS: Record<Way, string> = {
  wedges: 'Wedges',
  grid: 'Along and across',
  'by count': 'So many',
  'by weight': 'So heavy',
}
const ways = computed(() =>
  (props.round
    ? (['wedges', 'by weight'] as const)
    : (['grid', 'by count', 'by weight'] as const)
  ).map((value) => ({ value, label: WORDS[value] })),
)

/** The same portions said another way. */
function say(way: Way) {
  const { division, portions: count, portion } = props.solved
  if (way === 'by count') emit('change', { cut: way, count })
  else if (way !== 'by weight') emit('change', division)
  else emit('change', { cut: way, portion_g: Math.round(portion?.value ?? 100) })
}

const FIELDS: Record<Way, { field: string; label: string; unit?: string; step?: number }[]> = {
  wedges: [{ field: 'count', label: 'Number' }],
  grid: [
    { field: 'columns', label: 'Along' },
    { field: 'rows', label: 'Across' },
  ],
  'by count': [{ field: 'count', label: 'Number' }],
  'by weight': [{ field: 'portion_g', label: 'About', unit: 'g', step: 5 }],
}
const valueOf = (field: string) =>
  Number((props.portions as unknown as Record<string, number>)[field])
const counted = computed(
  () => props.portions.cut === 'by weight' || props.portions.cut === 'by count',
)
</script>

<template>
  <div class="portions">
    <label class="way">
      <span class="eyebrow">Cut into</span>
      <ChoiceField
        :value="portions.cut"
        :options="ways"
        :disabled="disabled"
        @change="(way) => say(way as Way)"
      />
    </label>
    <NumberField
      v-for="one in FIELDS[portions.cut]"
      :key="`${portions.cut}/${one.field}`"
      :label="one.label"
      :unit="one.unit ?? ''"
      :step="one.step ?? 1"
      :value="valueOf(one.field)"
      :disabled="disabled"
      :error="errorAt(`portions.${one.field}`) ?? errorAt('portions') ?? errorAt('portion_g')"
      @commit="(v) => v !== null && emit('change', { ...portions, [one.field]: v } as Portions)"
    />
  </div>
  <p v-if="solved.parts.length" class="each">
    <WorkedFigure
      v-if="solved.division_working"
      :working="solved.division_working"
      :text="String(solved.portions)"
      unit=""
    />
    <strong v-else-if="counted || solved.portions > 1">{{ solved.portions }}</strong>
    {{ solved.portions === 1 ? 'One portion,' : round ? 'wedges,' : 'pieces,' }}
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
  width: 136px;
}

@media (max-width: 1100px) {
  .way {
    width: 122px;
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
