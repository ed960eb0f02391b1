<script setup lang="ts">
/** One mold: its inner measures, what it holds, and a trial fill. */
import { computed } from 'vue'

import { useDraft } from '../api/draft'
import { house } from '../api/house'
import type { Mold, MoldEntry, MoldShape } from '../api/types'
import { figure } from '../kit/format'
import EntryField from '../kit/EntryField.vue'
import NumberField from '../kit/NumberField.vue'
import RowSlip from '../kit/RowSlip.vue'
import SwitchRow from '../kit/SwitchRow.vue'
import WorkedFigure from '../kit/WorkedFigure.vue'
import ViewDrawing from '../desserts/ViewDrawing.vue'
import { lookOf } from '../kit/flavors'
import BathTrial from './BathTrial.vue'
import FillTrial from './FillTrial.vue'
import MeasureTable, { type MeasureRow } from './MeasureTable.vue'
import PointsDrawing from './PointsDrawing.vue'
import { useFittings } from './useFittings'

const props = defineProps<{ id: string; disabled: boolean }>()
const entryOf = ({ name, shape, water_g, cavities, owned, note }: Mold): MoldEntry => ({
  name,
  shape,
  water_g,
  cavities,
  owned,
  note,
})
const mold = useDraft('molds', () => props.id, entryOf)
const entry = computed(() => mold.draft.value)
const figures = computed(() => mold.row.value?.figures)
const errorAt = (field: string) => mold.problem.value?.at(field)

const { data: stands } = useFittings(
  () => props.id,
  () => mold.row.value?.revision,
)

const words = computed(() => house.value.forms.find((one) => one.form === entry.value?.shape.form))
/** A field that is one of a few words, as it is. */
const wordAt = (shape: MoldShape, field: string) => String(Reflect.get(shape, field))

/** Rows of numbers, as they are. */
function rowsAt(shape: MoldShape, field: string): MeasureRow[] {
  const value: unknown = Reflect.get(shape, field)
  return Array.isArray(value) ? (value as MeasureRow[]) : []
}
/** A refusal that is about no single field on the screen. */
const shapeFault = computed(() => {
  const known = words.value?.fields.map((one) => `shape.${one.name}`) ?? []
  const other = mold.problem.value?.errors.find(
    ({ field }) => field.startsWith('shape') && !known.includes(field) && !/\.\d+\./.test(field),
  )
  return other?.message
})

function measure(field: string, value: unknown) {
  if (!entry.value || value === null) return
  void mold.edit({ shape: { ...entry.value.shape, [field]: value } as MoldShape })
}
</script>

<template>
  <RowSlip
    v-if="entry"
    :id="id"
    shelf="molds"
    room="molds"
    :title="words?.title ?? ''"
    aria-label="Mold"
    :row="mold"
    :disabled="disabled"
  >
    <div class="measures">
      <EntryField
        v-for="one in words?.fields"
        :key="one.name"
        :words="one"
        :entry="entry.shape"
        :disabled="disabled"
        :error="errorAt(`shape.${one.name}`)"
        @commit="(value) => measure(one.name, value)"
      />
      <label v-for="one in words?.choices" :key="one.name">
        <span class="eyebrow">{{ one.label }}</span>
        <SwitchRow
          :label="one.label"
          :value="wordAt(entry.shape, one.name)"
          :choices="one.choices"
          :disabled="disabled"
          @change="(value) => measure(one.name, value)"
        />
      </label>
    </div>
    <template v-for="one in words?.tables" :key="one.name">
      <PointsDrawing
        v-if="figures"
        :table="one"
        :rows="rowsAt(entry.shape, one.name)"
        :loops="one.rises ? figures.section : figures.above"
        :disabled="disabled"
        @move="
          (at, row) =>
            measure(
              one.name,
              rowsAt(entry!.shape, one.name).map((old, i) => (i === at ? row : old)),
            )
        "
      />
      <MeasureTable
        :table="one"
        :rows="rowsAt(entry.shape, one.name)"
        :error-at="(field) => errorAt(`shape.${one.name}.${field}`)"
        :disabled="disabled"
        @change="(value) => measure(one.name, value)"
      />
    </template>
    <p v-if="words?.from_file" class="quiet">{{ figures?.says_in_full }}, read from a mesh.</p>
    <p v-if="shapeFault" class="wrong" role="alert">{{ shapeFault }}</p>
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
    <EntryField
      :words="house.cavities"
      :entry="entry"
      :disabled="disabled"
      :error="errorAt('cavities')"
      @commit="(value) => value !== null && mold.edit({ cavities: value })"
    />
    <EntryField
      :words="house.owned"
      :entry="entry"
      :disabled="disabled"
      :error="errorAt('owned')"
      @commit="(value) => mold.edit({ owned: value })"
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
        v-for="(one, i) in [
          figures.capacity,
          figures.perimeter,
          figures.free_surface,
          figures.wall,
        ]"
        :key="i"
      >
        <dt>{{ one.figure }}</dt>
        <dd><WorkedFigure :working="one" /></dd>
      </template>
    </dl>
    <section v-if="stands?.figures.length" class="stands" aria-label="What stands in it">
      <h3 class="eyebrow">What stands in it</h3>
      <dl>
        <template v-for="(one, i) in stands.figures" :key="i">
          <dt>{{ one.figure }}</dt>
          <dd><WorkedFigure :working="one" :text="figure(one.value, 1)" /></dd>
        </template>
      </dl>
      <ViewDrawing
        v-for="(one, i) in stands.views"
        :key="i"
        :view="one"
        :chosen="null"
        :look-of="() => lookOf(undefined)"
        :tallest="150"
      />
    </section>
    <BathTrial v-if="stands?.bathed" :id="id" :key="`bath/${id}`" />
    <FillTrial :id="id" :key="`${id}/${mold.row.value?.revision}`" />
  </RowSlip>
</template>

<style scoped>
.stands {
  display: grid;
  gap: 8px;
}

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
  justify-self: end;
  margin: 0;
}
</style>
