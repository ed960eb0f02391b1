<script setup lang="ts">
/** What the formula is: what arrives of it, its density, and its size for another need. */
import { computed, ref, watch } from 'vue'

import { house } from '../api/house'
import type { Formula, FormulaEntry, GaugeShown, Reading } from '../api/types'
import FoldCard from '../kit/FoldCard.vue'
import { figure } from '../kit/format'
import NumberField from '../kit/NumberField.vue'
import SwitchRow from '../kit/SwitchRow.vue'
import WorkedFigure from '../kit/WorkedFigure.vue'
import FormulaSheet from '../sheets/FormulaSheet.vue'
import DeclaredCard from './DeclaredCard.vue'
import FormulaFindings from './FormulaFindings.vue'
import FormulaReadings from './FormulaReadings.vue'
import AsidesList from './setting/AsidesList.vue'
import DripsCard from './setting/DripsCard.vue'
import LossesFields from './LossesFields.vue'
import { useFamilies } from './setting/useSetting'
import { useScaled, type Wanted } from './useFormula'

const props = defineProps<{
  id: string
  row: Formula | undefined
  entry: FormulaEntry
  reading: Reading | undefined
  errorAt: (field: string) => string | undefined
  disabled: boolean
}>()
const emit = defineEmits<{ change: [change: Partial<FormulaEntry>] }>()
const size = ref<Wanted | null>(null)
const scaled = useScaled(
  () => props.id,
  () => size.value,
)
watch(
  () => props.id,
  () => (size.value = null),
)
const scale = (value: number | null, unit: Wanted['unit']) =>
  (size.value = value === null ? null : { value, unit })

const { jobOf } = useFamilies()
const usualAir = computed(() => `${figure(100 * (props.reading?.gas_kept ?? 1), 0)}, as usual`)
const tools = computed(() => jobOf(props.entry.job)?.tools)
const gauges = computed(() => props.reading?.gauges ?? [])
/** What decides stands first: the readings that have a window. */
const deciding = computed(() => gauges.value.filter((one) => one.gauge.window))
const SECTIONS = [
  { section: 'does', title: 'All it will do' },
  { section: 'contains', title: 'What is in 100 g' },
  { section: 'costs', title: 'Label and bill' },
] as const
const of = (section: GaugeShown['gauge']['section']) =>
  gauges.value.filter((one) => one.gauge.section === section)
/** Everybody something is wanted of, each once. */
const wanted = computed(() => [...new Set(gauges.value.flatMap((one) => one.gauge.needs))])
const cost = computed(() => {
  const found = gauges.value.find((one) => one.gauge.headline)?.gauge
  const working = found?.working
  return working ? `${figure(working.value, found.decimals ?? undefined)} ${working.unit}` : ''
})
</script>

<template>
  <section class="slip" aria-label="What it is">
    <h2>What it will do</h2>
    <FormulaFindings
      v-if="reading"
      :judged="reading.judged"
      :entry="entry"
      :disabled="disabled"
      @change="(change) => emit('change', change)"
    />
    <p v-if="reading?.without_density.length" class="lacking">
      No density for {{ reading.without_density.join(', ') }}. Enter it in the pantry, or weigh a
      level cup of the finished formula and enter it under ‘Losses and air’.
    </p>
    <FormulaReadings v-if="reading" :gauges="deciding" />
    <AsidesList v-if="reading" :asides="reading.asides" />
    <DripsCard v-if="tools?.includes('drips')" :id="id" />
    <dl v-if="reading">
      <div>
        <dt>Finished</dt>
        <dd><WorkedFigure :working="reading.finished" /></dd>
      </div>
      <div>
        <dt>Density</dt>
        <dd><WorkedFigure :working="reading.density" /></dd>
      </div>
      <div>
        <dt>Volume</dt>
        <dd><WorkedFigure :working="reading.volume" /></dd>
      </div>
    </dl>
    <p v-if="wanted.length" class="quiet">
      Unknown without {{ wanted.join(', ') }}: enter make-up and price in the pantry.
    </p>
    <div class="folds">
      <template v-if="reading">
        <FoldCard
          v-for="{ section, title } in SECTIONS"
          :key="section"
          :title="title"
          :name="`reading.${section}`"
          :aside="section === 'costs' ? cost || undefined : undefined"
        >
          <FormulaReadings :gauges="of(section)" />
          <DeclaredCard v-if="section === 'costs'" :reading="reading" />
        </FoldCard>
      </template>
      <FoldCard title="Losses and air" name="losses">
        <LossesFields
          :losses="entry.losses"
          :cooking="reading?.cooking"
          :error-at="errorAt"
          :disabled="disabled"
          @change="(losses) => emit('change', { losses })"
        />
        <div class="two">
          <NumberField
            label="Air kept in folding"
            unit="%"
            :step="5"
            optional
            :placeholder="usualAir"
            :value="entry.gas_kept == null ? null : entry.gas_kept * 100"
            :disabled="disabled"
            :error="errorAt('gas_kept')"
            @commit="(v) => emit('change', { gas_kept: v === null ? null : v / 100 })"
          />
          <NumberField
            label="Weighed cup"
            unit="g/ml"
            :step="0.01"
            optional
            placeholder="none"
            :value="entry.measured_density_g_ml ?? null"
            :disabled="disabled"
            :error="errorAt('measured_density_g_ml')"
            @commit="(v) => emit('change', { measured_density_g_ml: v })"
          />
          <NumberField
            :label="house.formulas.sets.label"
            :unit="house.formulas.sets.unit"
            optional
            :placeholder="house.formulas.sets.empty"
            :value="entry.sets_min ?? null"
            :disabled="disabled"
            :error="errorAt('sets_min')"
            @commit="(v) => emit('change', { sets_min: v })"
          />
        </div>
        <SwitchRow
          v-if="reading?.eggs"
          label="Eggs on the sheets"
          :value="Boolean(entry.whole_eggs)"
          :choices="[
            { value: false, label: 'eggs weighed' },
            { value: true, label: 'eggs kept whole' },
          ]"
          :disabled="disabled"
          @change="(whole_eggs) => emit('change', { whole_eggs })"
        />
      </FoldCard>
      <FoldCard title="Scale it to" name="scale">
        <div class="two">
          <NumberField
            label="Finished mass"
            unit="g"
            optional
            :value="size?.unit === 'g' ? size.value : null"
            :error="size?.unit === 'g' ? scaled.error.value?.message : undefined"
            @commit="(v) => scale(v, 'g')"
          />
          <NumberField
            label="Finished volume"
            unit="ml"
            optional
            :value="size?.unit === 'ml' ? size.value : null"
            :error="size?.unit === 'ml' ? scaled.error.value?.message : undefined"
            @commit="(v) => scale(v, 'ml')"
          />
        </div>
        <div v-if="scaled.data.value && size" class="scaled">
          <FormulaSheet v-for="page in scaled.data.value" :key="page.sheet.formula" :page="page" />
          <RouterLink
            class="deed"
            :to="{
              path: `/formulas/${id}/sheets`,
              query: size.unit === 'g' ? { mass_g: size.value } : { volume_ml: size.value },
            }"
            >Sheets to pin up</RouterLink
          >
        </div>
      </FoldCard>
      <FoldCard
        v-if="row?.used_by.length"
        title="Used in"
        name="used"
        :aside="row.used_by.join(', ')"
      >
        <p>{{ row.used_by.join(', ') }}</p>
      </FoldCard>
    </div>
  </section>
</template>

<style scoped>
.slip {
  display: grid;
  align-content: start;
  gap: 10px;
  grid-template-columns: minmax(0, 1fr);
}

dl {
  display: flex;
  gap: 6px 12px;
  justify-content: space-between;
  margin: 0;
}

dt {
  color: var(--muted);
  font-size: 13px;
}

dd {
  margin: 0;
}

.two {
  display: grid;
  gap: 8px;
  grid-template-columns: repeat(2, minmax(0, 1fr));
}

.lacking {
  background: var(--amber-wash);
  border: 1px solid var(--amber-rule);
  border-radius: var(--round);
  color: var(--amber);
  font-size: 14px;
  padding: 8px 10px;
}

.scaled {
  display: grid;
  gap: 8px;
}

.scaled :deep(.sheet) {
  padding: 10px 12px;
}

.scaled :deep(.side) {
  display: none;
}
</style>
