<script setup lang="ts">
/** The measures of the selected part, each by its own rule. */
import Checkbox from 'ant-design-vue/es/checkbox'
import { computed } from 'vue'

import type { FormulaBrief, Layer, Part } from '../api/types'
import ChoiceField from '../kit/ChoiceField.vue'
import NumberField from '../kit/NumberField.vue'
import { LAYER_MEASURES, type Measure, MEASURES, valueOf } from './measures'
import { DOES, withLayer } from './parts'

const props = defineProps<{
  part: Part
  layer: Layer | null
  formulas: FormulaBrief[]
  errorAt: (field: string) => string | undefined
  layerErrorAt: (field: string) => string | undefined
  disabled: boolean
}>()
const emit = defineEmits<{ change: [part: Part]; become: [rule: Part['rule']] }>()
const jobs = Object.entries(DOES).map(([value, { title }]) => ({ value, label: title }))
/** A stack of several layers is an insert and nothing else. */
const mayBecome = computed(() => props.part.rule !== 'insert' || props.part.layers.length === 1)

const options = computed(() => props.formulas.map((one) => ({ value: one.id, label: one.name })))
const formula = computed(() =>
  props.part.rule === 'insert' ? props.layer?.formula : props.part.formula,
)

/** The part with one field changed; a number left out is refused by the field itself. */
function set(field: string, value: number | string | boolean | null) {
  emit('change', { ...props.part, [field]: value } as Part)
}

function setLayer(field: string, value: number | string) {
  if (props.part.rule !== 'insert' || !props.layer) return
  emit('change', withLayer(props.part, { ...props.layer, [field]: value }))
}

function commit(measure: Measure, value: number | null) {
  if (value !== null || measure.empty) set(measure.field, value)
}
</script>

<template>
  <div class="measures">
    <template v-if="layer">
      <NumberField
        v-for="one in LAYER_MEASURES"
        :key="one.field"
        :label="one.label"
        :unit="one.unit ?? ''"
        :value="valueOf(layer, one.field)"
        :disabled="disabled"
        :error="layerErrorAt(one.field)"
        @commit="(value) => value !== null && setLayer(one.field, value)"
      />
    </template>
    <NumberField
      v-for="one in MEASURES[part.rule]"
      :key="`${part.rule}.${one.field}`"
      :class="{ double: one.empty }"
      :label="one.label"
      :unit="one.unit ?? ''"
      :step="one.step ?? 1"
      :optional="Boolean(one.empty)"
      :placeholder="one.empty ?? ''"
      :value="valueOf(part, one.field)"
      :disabled="disabled"
      :error="errorAt(one.field)"
      @commit="(value) => commit(one, value)"
    />
    <button
      v-if="part.rule === 'insert' && part.offset_mm && !disabled"
      type="button"
      class="deed small center"
      @click="set('offset_mm', 0)"
    >
      Center it
    </button>
    <Checkbox
      v-if="part.rule === 'coat'"
      class="wide"
      :checked="part.top_only"
      :disabled="disabled"
      @change="(e: { target: { checked?: boolean } }) => set('top_only', Boolean(e.target.checked))"
    >
      Top only; the sides stay bare
    </Checkbox>
    <label v-if="mayBecome" class="wide">
      <span class="eyebrow">What it does</span>
      <ChoiceField
        :value="part.rule"
        :options="jobs"
        :disabled="disabled"
        class="made-of"
        @change="(rule) => emit('become', rule as Part['rule'])"
      />
    </label>
    <label class="wide">
      <span class="eyebrow">Made of</span>
      <ChoiceField
        :value="formula ?? ''"
        :options="options"
        :disabled="disabled"
        shelf="formulas"
        class="made-of"
        @change="(id) => (layer ? setLayer : set)('formula', String(id))"
      />
      <span v-if="layerErrorAt('formula')" class="wrong">{{ layerErrorAt('formula') }}</span>
    </label>
  </div>
</template>

<style scoped>
.measures {
  display: grid;
  gap: 8px 10px;
  grid-template-columns: repeat(auto-fit, minmax(86px, 1fr));
}

.wide {
  grid-column: 1 / -1;
}

.center {
  align-self: end;
  min-height: 36px;
}

.double {
  grid-column: span 2;
}

.made-of {
  width: 100%;
}
</style>
