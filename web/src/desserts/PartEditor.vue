<script setup lang="ts">
/** The measures of the selected part, each by its own rule. */
import Checkbox from 'ant-design-vue/es/checkbox'
import Select from 'ant-design-vue/es/select'
import { computed } from 'vue'

import type { FormulaBrief, Layer, Part, PartOf } from '../api/types'
import NumberField from '../kit/NumberField.vue'
import { withLayer } from './parts'

const props = defineProps<{
  part: Part
  layer: Layer | null
  formulas: FormulaBrief[]
  errorAt: (field: string) => string | undefined
  layerErrorAt: (field: string) => string | undefined
  disabled: boolean
}>()
const emit = defineEmits<{ change: [part: Part] }>()

const options = computed(() => props.formulas.map((one) => ({ value: one.id, label: one.name })))
const formula = computed(() =>
  props.layer ? props.layer.formula : props.part.rule === 'insert' ? '' : props.part.formula,
)

/** Hand on the part with some measures changed; a null is refused by the field itself. */
function set<Rule extends Part['rule']>(part: PartOf<Rule>, change: Partial<PartOf<Rule>>) {
  emit('change', { ...part, ...change } as Part)
}

function setLayer(change: Partial<Layer>) {
  if (props.part.rule === 'insert' && props.layer) {
    emit('change', withLayer(props.part, { ...props.layer, ...change }))
  }
}

function setFormula(id: string) {
  if (props.layer) setLayer({ formula: id })
  else if (props.part.rule !== 'insert') emit('change', { ...props.part, formula: id })
}

const search = (typed: string, option?: { label?: unknown }) =>
  String(option?.label ?? '')
    .toLowerCase()
    .includes(typed.toLowerCase())
</script>

<template>
  <div class="measures">
    <template v-if="part.rule === 'base'">
      <NumberField
        label="Thickness"
        unit="mm"
        :value="part.height_mm"
        :disabled="disabled"
        :error="errorAt('height_mm')"
        @commit="(v) => v !== null && set(part as PartOf<'base'>, { height_mm: v })"
      />
      <NumberField
        label="Across"
        unit="mm"
        :value="part.across_mm"
        :disabled="disabled"
        :error="errorAt('across_mm')"
        @commit="(v) => v !== null && set(part as PartOf<'base'>, { across_mm: v })"
      />
    </template>
    <template v-else-if="part.rule === 'insert' && layer">
      <NumberField
        label="Thickness"
        unit="mm"
        :value="layer.height_mm"
        :disabled="disabled"
        :error="layerErrorAt('height_mm')"
        @commit="(v) => v !== null && setLayer({ height_mm: v })"
      />
      <NumberField
        label="Across"
        unit="mm"
        :value="part.across_mm"
        :disabled="disabled"
        :error="errorAt('across_mm')"
        @commit="(v) => v !== null && set(part as PartOf<'insert'>, { across_mm: v })"
      />
      <NumberField
        label="Above the board"
        unit="mm"
        :value="part.lift_mm"
        :disabled="disabled"
        :error="errorAt('lift_mm')"
        @commit="(v) => v !== null && set(part as PartOf<'insert'>, { lift_mm: v })"
      />
    </template>
    <NumberField
      v-else-if="part.rule === 'fill'"
      class="double"
      label="Filled to"
      unit="mm"
      optional
      placeholder="the rim"
      :value="part.level_mm ?? null"
      :disabled="disabled"
      :error="errorAt('level_mm')"
      @commit="(v) => set(part as PartOf<'fill'>, { level_mm: v })"
    />
    <template v-else-if="part.rule === 'coat'">
      <NumberField
        label="Thickness"
        unit="mm"
        :step="0.5"
        :value="part.thickness_mm"
        :disabled="disabled"
        :error="errorAt('thickness_mm')"
        @commit="(v) => v !== null && set(part as PartOf<'coat'>, { thickness_mm: v })"
      />
      <NumberField
        label="Run-off, saved"
        unit="%"
        :step="5"
        :value="part.runoff_percent"
        :disabled="disabled"
        :error="errorAt('runoff_percent')"
        @commit="(v) => v !== null && set(part as PartOf<'coat'>, { runoff_percent: v })"
      />
      <NumberField
        label="Least that pours"
        unit="g"
        :step="50"
        :value="part.least_pour_g"
        :disabled="disabled"
        :error="errorAt('least_pour_g')"
        @commit="(v) => v !== null && set(part as PartOf<'coat'>, { least_pour_g: v })"
      />
      <Checkbox
        class="wide"
        :checked="part.top_only"
        :disabled="disabled"
        @change="
          (e: { target: { checked?: boolean } }) =>
            set(part as PartOf<'coat'>, { top_only: Boolean(e.target.checked) })
        "
      >
        Top only; the sides stay bare
      </Checkbox>
    </template>
    <template v-else-if="part.rule === 'band'">
      <NumberField
        label="Height"
        unit="mm"
        :value="part.height_mm"
        :disabled="disabled"
        :error="errorAt('height_mm')"
        @commit="(v) => v !== null && set(part as PartOf<'band'>, { height_mm: v })"
      />
      <NumberField
        label="Thickness"
        unit="mm"
        :step="0.5"
        :value="part.thickness_mm"
        :disabled="disabled"
        :error="errorAt('thickness_mm')"
        @commit="(v) => v !== null && set(part as PartOf<'band'>, { thickness_mm: v })"
      />
      <NumberField
        label="Overlap"
        unit="mm"
        :value="part.overlap_mm"
        :disabled="disabled"
        :error="errorAt('overlap_mm')"
        @commit="(v) => v !== null && set(part as PartOf<'band'>, { overlap_mm: v })"
      />
    </template>
    <template v-else-if="part.rule === 'garnish'">
      <NumberField
        label="Pieces a portion"
        :step="0.5"
        :value="part.pieces_per_portion"
        :disabled="disabled"
        :error="errorAt('pieces_per_portion')"
        @commit="(v) => v !== null && set(part as PartOf<'garnish'>, { pieces_per_portion: v })"
      />
      <NumberField
        label="One piece"
        unit="g"
        :step="0.5"
        :value="part.piece_g"
        :disabled="disabled"
        :error="errorAt('piece_g')"
        @commit="(v) => v !== null && set(part as PartOf<'garnish'>, { piece_g: v })"
      />
    </template>
    <label class="wide">
      <span class="eyebrow">Made of</span>
      <Select
        :value="formula"
        :options="options"
        :disabled="disabled"
        show-search
        :filter-option="search"
        class="made-of"
        @change="(id) => setFormula(String(id))"
      />
      <span v-if="layerErrorAt('formula')" class="wrong">{{ layerErrorAt('formula') }}</span>
    </label>
  </div>
</template>

<style scoped>
.measures {
  display: grid;
  gap: 8px 10px;
  grid-template-columns: repeat(3, minmax(0, 1fr));
}

.wide {
  grid-column: 1 / -1;
}

.double {
  grid-column: span 2;
}

.made-of {
  width: 100%;
}
</style>
