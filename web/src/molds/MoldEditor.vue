<script setup lang="ts">
/** One mold: its inner measures, what it holds, and a trial fill. */
import { computed } from 'vue'

import { useDraft } from '../api/draft'
import type { Mold, MoldEntry, MoldShape } from '../api/types'
import { figure } from '../kit/format'
import NumberField from '../kit/NumberField.vue'
import RowSlip from '../kit/RowSlip.vue'
import WorkedFigure from '../kit/WorkedFigure.vue'
import FillTrial from './FillTrial.vue'

const props = defineProps<{ id: string; disabled: boolean }>()
const entryOf = ({ name, shape, water_g, note }: Mold): MoldEntry => ({
  name,
  shape,
  water_g,
  note,
})
const mold = useDraft('molds', () => props.id, entryOf)
const entry = computed(() => mold.draft.value)
const figures = computed(() => mold.row.value?.figures)
const errorAt = (field: string) => mold.problem.value?.at(field)

const height = { field: 'height_mm', label: 'Height' }
const MEASURES = {
  ring: [{ field: 'diameter_mm', label: 'Diameter, inside' }, height],
  frame: [
    { field: 'length_mm', label: 'Length, inside' },
    { field: 'width_mm', label: 'Width, inside' },
    height,
    { field: 'corner_radius_mm', label: 'Corner radius' },
  ],
}
const valueOf = (shape: MoldShape, field: string) =>
  Number((shape as unknown as Record<string, number>)[field])

function measure(field: string, value: number | null) {
  if (!entry.value || value === null) return
  void mold.edit({ shape: { ...entry.value.shape, [field]: value } as MoldShape })
}
</script>

<template>
  <RowSlip
    v-if="entry"
    :id="id"
    kind="molds"
    room="molds"
    :title="entry.shape.kind === 'ring' ? 'Ring' : 'Frame'"
    aria-label="Mold"
    :row="mold"
    :disabled="disabled"
  >
    <div class="measures">
      <NumberField
        v-for="one in MEASURES[entry.shape.kind]"
        :key="one.field"
        :label="one.label"
        unit="mm"
        :value="valueOf(entry.shape, one.field)"
        :disabled="disabled"
        :error="errorAt(`shape.${one.field}`)"
        @commit="(value) => measure(one.field, value)"
      />
    </div>
    <NumberField
      label="Water it holds, to the brim"
      unit="g"
      :step="1"
      optional
      placeholder="not weighed"
      :value="entry.water_g ?? null"
      :disabled="disabled"
      :error="errorAt('water_g')"
      @commit="(value) => mold.edit({ water_g: value })"
    />
    <p v-if="figures?.water" class="quiet">
      The water says
      <WorkedFigure
        :working="figures.water"
        :text="`${figures.water.value >= 0 ? '+' : '−'}${figure(Math.abs(figures.water.value), 1)}`"
      />
      against the printed size; the true volume is used.
    </p>
    <p v-else class="quiet">
      Printed sizes are nominal: weigh the water it holds, 1 g to 1 ml, and that is used instead.
    </p>
    <dl v-if="figures">
      <template
        v-for="one in [figures.capacity, figures.perimeter, figures.free_surface, figures.wall]"
        :key="one.figure"
      >
        <dt>{{ one.figure }}</dt>
        <dd><WorkedFigure :working="one" /></dd>
      </template>
    </dl>
    <FillTrial :id="id" :key="`${id}/${mold.row.value?.revision}`" />
  </RowSlip>
</template>

<style scoped>
.measures {
  display: grid;
  gap: 8px;
  grid-template-columns: 1fr 1fr;
}

dl {
  display: grid;
  gap: 4px 12px;
  grid-template-columns: 1fr auto;
  margin: 0;
}

dt {
  color: var(--muted);
}

dd {
  font-weight: 700;
  margin: 0;
}
</style>
