<script setup lang="ts">
/** What the formula is: what arrives of it, its density, and its size for another need. */
import { ref, watch } from 'vue'

import type { Formula, FormulaEntry, Reading } from '../api/types'
import NumberField from '../kit/NumberField.vue'
import SheetCard from '../kit/SheetCard.vue'
import SwitchRow from '../kit/SwitchRow.vue'
import WorkedFigure from '../kit/WorkedFigure.vue'
import FormulaFindings from './FormulaFindings.vue'
import FormulaReadings from './FormulaReadings.vue'
import AsidesList from './setting/AsidesList.vue'
import DripsCard from './setting/DripsCard.vue'
import LossesFields from './LossesFields.vue'
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
const wanted = ref<Wanted | null>(null)
const scaled = useScaled(
  () => props.id,
  () => wanted.value,
)
watch(
  () => props.id,
  () => (wanted.value = null),
)
</script>

<template>
  <section class="slip" aria-label="What it is">
    <h2>What it is</h2>
    <dl v-if="reading">
      <dt>Arrives</dt>
      <dd><WorkedFigure :working="reading.finished" /></dd>
      <dt>Density with its air</dt>
      <dd><WorkedFigure :working="reading.density" /></dd>
      <dt>Volume</dt>
      <dd>
        <WorkedFigure :working="reading.volume" />
      </dd>
    </dl>
    <p v-if="reading?.without_density.length" class="lacking">
      No density for {{ reading.without_density.join(', ') }}. Enter it in the pantry, or weigh a
      level cup of the finished formula and enter it below.
    </p>

    <FormulaFindings
      v-if="reading"
      :judged="reading.judged"
      :entry="entry"
      :disabled="disabled"
      @change="(change) => emit('change', change)"
    />
    <AsidesList v-if="reading" :asides="reading.asides" />
    <DripsCard v-if="entry.job === 'ganache.drip'" :id="id" />
    <FormulaReadings v-if="reading" :reading="reading" />

    <LossesFields
      :losses="entry.losses"
      :cooking="reading?.cooking"
      :error-at="errorAt"
      :disabled="disabled"
      @change="(losses) => emit('change', { losses })"
    />

    <h3>Its air</h3>
    <div class="two">
      <NumberField
        label="Kept in folding"
        unit="%"
        :step="5"
        :value="(entry.gas_kept ?? 0.8) * 100"
        :disabled="disabled"
        :error="errorAt('gas_kept')"
        @commit="(v) => v !== null && emit('change', { gas_kept: v / 100 })"
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

    <h3>Scale it to</h3>
    <div class="two">
      <NumberField
        label="Finished mass"
        unit="g"
        optional
        :value="wanted?.unit === 'g' ? wanted.value : null"
        :error="wanted?.unit === 'g' ? scaled.error.value?.message : undefined"
        @commit="(v) => (wanted = v === null ? null : { value: v, unit: 'g' })"
      />
      <NumberField
        label="Finished volume"
        unit="ml"
        optional
        :value="wanted?.unit === 'ml' ? wanted.value : null"
        :error="wanted?.unit === 'ml' ? scaled.error.value?.message : undefined"
        @commit="(v) => (wanted = v === null ? null : { value: v, unit: 'ml' })"
      />
    </div>
    <div v-if="wanted && scaled.data.value" class="scaled">
      <SheetCard v-for="page in scaled.data.value" :key="page.sheet.formula" :page="page" />
    </div>

    <template v-if="row?.used_by.length">
      <h3>Used in</h3>
      <p>{{ row.used_by.join(', ') }}</p>
    </template>
  </section>
</template>

<style scoped>
.slip {
  display: grid;
  align-content: start;
  gap: 10px;
}

h3 {
  margin-top: 6px;
}

dl {
  display: grid;
  gap: 6px 12px;
  grid-template-columns: 1fr auto;
  margin: 0;
}

dt {
  color: var(--muted);
}

dd {
  font-size: 17px;
  margin: 0;
  text-align: right;
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
