<script setup lang="ts">
/** Packs it is bought in; a new price is added with its day, so that the earlier ones stay. */
import type { Ingredient } from '../api/types'
import { figure } from '../kit/format'
import NumberField from '../kit/NumberField.vue'
import TextField from '../kit/TextField.vue'

type Pack = Ingredient['packs'][number]
const props = defineProps<{
  packs: Pack[]
  pricePerKg: number | null
  currency: string
  disabled: boolean
  errorAt: (field: string) => string | undefined
}>()
const emit = defineEmits<{ change: [packs: Pack[]] }>()

const today = () => new Date().toISOString().slice(0, 10)
const newest = (pack: Pack) =>
  [...(pack.prices ?? [])].sort((a, b) => (a.since < b.since ? 1 : -1))[0]
const earlier = (pack: Pack) =>
  [...(pack.prices ?? [])].sort((a, b) => (a.since < b.since ? 1 : -1)).slice(1)

const set = (at: number, change: Partial<Pack>) =>
  emit(
    'change',
    props.packs.map((pack, i) => (i === at ? { ...pack, ...change } : pack)),
  )
/** From today on; a second price of one day replaces the first. */
function price(at: number, value: number) {
  const since = today()
  const kept = (props.packs[at]?.prices ?? []).filter((one) => one.since !== since)
  set(at, { prices: [...kept, { since, price: value }] })
}
</script>

<template>
  <fieldset>
    <legend class="eyebrow">Packs and prices, {{ currency }}</legend>
    <div v-for="(pack, i) in packs" :key="i" class="pack">
      <TextField
        label="Pack"
        :model-value="pack.name"
        :disabled="disabled"
        @update:model-value="(name) => set(i, { name })"
      />
      <button
        v-if="!disabled"
        type="button"
        class="deed small"
        :aria-label="`Take out ${pack.name}`"
        @click="
          emit(
            'change',
            packs.filter((_, at) => at !== i),
          )
        "
      >
        ×
      </button>
      <NumberField
        label="holds"
        unit="g"
        :value="pack.mass_g"
        :disabled="disabled"
        :error="errorAt(`packs.${i}.mass_g`)"
        @commit="(mass_g) => mass_g !== null && set(i, { mass_g })"
      />
      <NumberField
        label="costs from today"
        :step="0.1"
        optional
        placeholder="no price"
        :value="newest(pack)?.price ?? null"
        :disabled="disabled"
        :error="errorAt(`packs.${i}.prices.0.price`)"
        @commit="(value) => value !== null && price(i, value)"
      />
      <p v-if="newest(pack)" class="quiet history">
        since {{ newest(pack)?.since
        }}<template v-for="one in earlier(pack)" :key="one.since"
          >; {{ figure(one.price, 2) }} since {{ one.since }}</template
        >
      </p>
    </div>
    <p v-if="pricePerKg !== null" class="quiet">
      <strong>{{ figure(pricePerKg, 2) }}</strong> {{ currency }} a kilogram, by the first pack.
    </p>
    <button
      v-if="!disabled"
      type="button"
      class="deed small dashed"
      @click="emit('change', [...packs, { name: '1 kg', mass_g: 1000, prices: [] }])"
    >
      Add a pack
    </button>
  </fieldset>
</template>

<style scoped>
fieldset {
  border: 0;
  display: grid;
  gap: 8px;
  justify-items: start;
  margin: 0;
  padding: 0;
}

.pack {
  align-items: end;
  display: grid;
  gap: 4px 6px;
  grid-template-columns: 1fr 1fr auto;
  width: 100%;
}

.pack > :first-child {
  grid-column: 1 / 3;
}

.history {
  font-size: 13px;
  grid-column: 1 / -1;
}
</style>
