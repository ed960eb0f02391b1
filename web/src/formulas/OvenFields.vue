<script setup lang="ts">
/** How the oven goes on after what a step sets it to: then, falling to, off with its door shut. */
import { house } from '../api/house'
import type { OvenLeg } from '../api/types'
import ChoiceField from '../kit/ChoiceField.vue'
import NumberField from '../kit/NumberField.vue'

const props = defineProps<{
  place: number
  legs: OvenLeg[]
  errorAt: (field: string) => string | undefined
}>()
const emit = defineEmits<{ change: [legs: OvenLeg[]] }>()
const MOST = 6
const KINDS = house.value.formulas.legs.map((value) => ({ value, label: value }))
const OFF = 'off, door shut'
const FIRST: OvenLeg = { how: 'then', temperature_c: 180, minutes: null }
const at = (i: number, field: string) => props.errorAt(`method.${props.place}.then.${i}.${field}`)
const set = (i: number, change: Partial<OvenLeg>) =>
  emit(
    'change',
    props.legs.map((leg, at) => (at === i ? { ...leg, ...change } : leg)),
  )
/** An oven that is off has no heat, one that is on needs one. */
function turn(i: number, how: OvenLeg['how']) {
  const heat = props.legs[i]?.temperature_c ?? FIRST.temperature_c ?? null
  set(i, { how, temperature_c: how === OFF ? null : heat })
}
</script>

<template>
  <fieldset>
    <legend class="unseen">The oven after step {{ place + 1 }}</legend>
    <div v-for="(leg, i) in legs" :key="i" class="leg">
      <label>
        <span class="eyebrow">The oven goes on</span>
        <ChoiceField
          :value="leg.how"
          :options="KINDS"
          @change="(how) => turn(i, how as OvenLeg['how'])"
        />
      </label>
      <NumberField
        v-if="leg.how !== OFF"
        label="Heat"
        unit="°C"
        :value="leg.temperature_c ?? null"
        :error="at(i, 'temperature_c')"
        @commit="(v) => v !== null && set(i, { temperature_c: v })"
      />
      <NumberField
        label="For"
        unit="min"
        optional
        placeholder="until it is done"
        :value="leg.minutes ?? null"
        :error="at(i, 'minutes')"
        @commit="(v) => set(i, { minutes: v })"
      />
      <button
        type="button"
        class="deed small"
        :aria-label="`Take out ${leg.how}`"
        @click="
          emit(
            'change',
            legs.filter((_, one) => one !== i),
          )
        "
      >
        ✕
      </button>
    </div>
    <button
      v-if="legs.length < MOST"
      type="button"
      class="deed small"
      @click="emit('change', [...legs, FIRST])"
    >
      The oven goes on …
    </button>
  </fieldset>
</template>

<style scoped>
fieldset {
  border: 0;
  display: grid;
  gap: 6px;
  justify-items: start;
  margin: 0;
  padding: 0;
}

.leg {
  align-items: end;
  display: grid;
  gap: 8px;
  grid-template-columns: 1.3fr 1fr 1fr auto;
  justify-self: stretch;
}

label {
  display: grid;
}
</style>
