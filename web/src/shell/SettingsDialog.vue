<script setup lang="ts">
/** How one reads figures, and where the kitchen stands; each saved as it is changed. */
import Modal from 'ant-design-vue/es/modal'
import { computed } from 'vue'

import type { KitchenFacts, Preferences } from '../api/types'
import ChoiceField from '../kit/ChoiceField.vue'
import NumberField from '../kit/NumberField.vue'
import TextField from '../kit/TextField.vue'
import { useSession } from './session'

const emit = defineEmits<{ close: [] }>()
const { person, isChef, prefer, describeKitchen } = useSession()
const own = computed(() => person.value?.preferences)
const facts = computed(() => person.value?.kitchen)

const SYSTEMS = [
  { value: 'metric', label: 'metric: cup 250 ml, tbsp 15, tsp 5' },
  { value: 'US', label: 'US: cup 237 ml, tbsp 14.8, tsp 4.9' },
  { value: 'imperial', label: 'imperial: cup 284 ml, tbsp 15, tsp 5' },
  { value: 'Australian', label: 'Australian: cup 250 ml, tbsp 20, tsp 5' },
]
const HEAT = [
  { value: 0, label: '°C' },
  { value: 1, label: '°F' },
]
const LENGTH = [
  { value: 0, label: 'millimeters' },
  { value: 1, label: 'inches' },
]
/** Those of the browser, and whichever the kitchen has. */
const ZONES = [...new Set(['UTC', ...Intl.supportedValuesOf('timeZone')])].map((value) => ({
  value,
  label: value,
}))
const choose = (change: Partial<Preferences>) =>
  own.value && prefer.mutate({ ...own.value, ...change })
function describe(change: Partial<KitchenFacts>) {
  if (!facts.value) return
  const { altitude_m, currency, time_zone } = facts.value
  describeKitchen.mutate({ altitude_m, currency, time_zone, ...change })
}
const problem = describeKitchen.error
</script>

<template>
  <Modal open title="How I read figures" :footer="null" width="480px" @cancel="emit('close')">
    <div v-if="own && facts" class="fields">
      <label>
        <span class="eyebrow">Cups and spoons, grams always beside</span>
        <ChoiceField
          :value="own.measures"
          :options="SYSTEMS"
          @change="(measures) => choose({ measures: measures as Preferences['measures'] })"
        />
      </label>
      <label>
        <span class="eyebrow">Temperatures</span>
        <ChoiceField
          :value="own.fahrenheit ? 1 : 0"
          :options="HEAT"
          @change="(yes) => choose({ fahrenheit: Boolean(yes) })"
        />
      </label>
      <label>
        <span class="eyebrow">Lengths</span>
        <ChoiceField
          :value="own.inches ? 1 : 0"
          :options="LENGTH"
          @change="(yes) => choose({ inches: Boolean(yes) })"
        />
      </label>
      <template v-if="isChef">
        <h3>{{ facts.name }}</h3>
        <NumberField
          label="Altitude of the kitchen: syrups boil cooler higher up"
          unit="m"
          :step="50"
          :value="facts.altitude_m"
          :error="problem?.at('altitude_m')"
          @commit="(v) => v !== null && describe({ altitude_m: v })"
        />
        <TextField
          :model-value="facts.currency"
          label="Currency, three letters"
          :error="problem?.at('currency')"
          @change="(e: Event) => describe({ currency: (e.target as HTMLInputElement).value })"
        />
        <label>
          <span class="eyebrow">Time zone</span>
          <ChoiceField
            :value="facts.time_zone"
            :options="ZONES"
            show-search
            @change="(zone) => describe({ time_zone: String(zone) })"
          />
        </label>
      </template>
    </div>
  </Modal>
</template>

<style scoped>
.fields,
label {
  display: grid;
  gap: 12px;
}

label {
  gap: 2px;
}

h3 {
  margin-top: 8px;
}
</style>
