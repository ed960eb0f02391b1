<script setup lang="ts">
/** The measures of the selected part, each by its own rule. */
import Checkbox from 'ant-design-vue/es/checkbox'
import { computed } from 'vue'

import { house, numberAt, ruleWords } from '../api/house'
import { know } from '../api/known'
import type { FieldWords, FormulaLook, Layer, Part } from '../api/types'
import ChoiceField from '../kit/ChoiceField.vue'
import RowChoice from '../kit/RowChoice.vue'
import EntryField from '../kit/EntryField.vue'
import { formulaIn, isLayered, withLayer } from './parts'

const props = defineProps<{
  part: Part
  layer: Layer | null
  formulaOf: (id: string) => FormulaLook | undefined
  errorAt: (field: string) => string | undefined
  layerErrorAt: (field: string) => string | undefined
  disabled: boolean
}>()
const emit = defineEmits<{ change: [part: Part]; become: [rule: Part['rule']] }>()
const words = computed(() => ruleWords(props.part.rule))
const jobs = computed(() =>
  house.value.rules.map(({ rule, title }) => ({ value: rule, label: title })),
)
/** A stack of several layers does nothing else. */
const mayBecome = computed(() => !isLayered(props.part) || props.part.layers.length === 1)

const formula = computed(() => formulaIn(props.part, props.layer))
/** What is off the middle can be centered. */
const aside = computed(() => {
  const name = words.value?.carried?.aside
  return name && numberAt(props.part, { name }) ? name : null
})

/** The part with one field changed; a number left out is refused by the field itself. */
function set(field: string, value: number | string | boolean | null) {
  emit('change', { ...props.part, [field]: value } as Part)
}

function setLayer(field: string, value: number | string) {
  if (!isLayered(props.part) || !props.layer) return
  emit('change', withLayer(props.part, { ...props.layer, [field]: value }))
}

function commit(field: FieldWords, value: number | null) {
  if (value !== null || field.empty) set(field.name, value)
}
const isSo = (field: string) => Boolean(Reflect.get(props.part, field))
</script>

<template>
  <div class="measures">
    <template v-if="layer">
      <EntryField
        v-for="one in words?.layer_fields"
        :key="one.name"
        :words="one"
        :entry="layer"
        :disabled="disabled"
        :error="layerErrorAt(one.name)"
        @commit="(value) => value !== null && setLayer(one.name, value)"
      />
    </template>
    <EntryField
      v-for="one in words?.fields"
      :key="`${part.rule}.${one.name}`"
      :class="{ double: one.empty }"
      :words="one"
      :entry="part"
      :disabled="disabled"
      :error="errorAt(one.name)"
      @commit="(value) => commit(one, value)"
    />
    <button
      v-if="aside && !disabled"
      type="button"
      class="deed small center"
      @click="set(aside, 0)"
    >
      Center it
    </button>
    <Checkbox
      v-for="{ name, label } in words?.switches"
      :key="name"
      class="wide"
      :checked="isSo(name)"
      :disabled="disabled"
      @change="(e: { target: { checked?: boolean } }) => set(name, Boolean(e.target.checked))"
    >
      {{ label }}
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
      <RowChoice
        :value="formula ?? ''"
        :label="formulaOf(formula ?? '')?.name"
        :disabled="disabled"
        shelf="formulas"
        class="made-of"
        @row="(one) => know('formulas', [one])"
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
