<script setup lang="ts">
/** What is ordered: desserts, their molds, how many; and what comes of it. */
import { computed } from 'vue'

import type { Problem } from '../api/client'
import { useKnown } from '../api/known'
import type { OrderEntry, OrderLine, PlannedOrder } from '../api/types'
import { newKey } from '../desserts/parts'
import ChoiceField from '../kit/ChoiceField.vue'
import { figure } from '../kit/format'
import NumberField from '../kit/NumberField.vue'
import RowChoice from '../kit/RowChoice.vue'
import WorkedFigure from '../kit/WorkedFigure.vue'

const props = defineProps<{
  entry: OrderEntry
  planned: PlannedOrder | undefined
  problem: Problem | null
  disabled: boolean
}>()
const emit = defineEmits<{ change: [changed: Partial<OrderEntry>] }>()
const lines = computed(() => props.entry.lines ?? [])
const services = computed(() => props.entry.timing?.services ?? [])
const dessertOf = useKnown('desserts', () => lines.value.map((one) => one.dessert))
const moldOf = useKnown('molds', () => lines.value.flatMap((one) => one.mold ?? []))
const BY = [
  { value: 'desserts', label: 'desserts' },
  { value: 'trays', label: 'trays' },
  { value: 'covers', label: 'covers' },
]
const told = (key: string) => props.planned?.lines.find((one) => one.key === key)

const edit = (key: string, changed: Partial<OrderLine>) =>
  emit('change', {
    lines: lines.value.map((one) => (one.key === key ? { ...one, ...changed } : one)),
  })
function add(dessert: string) {
  const line = { key: newKey(), dessert, mold: null, count: 1, by: 'desserts' as const }
  emit('change', { lines: [...lines.value, line] })
}
const takeOut = (key: string) =>
  emit('change', { lines: lines.value.filter((one) => one.key !== key) })
</script>

<template>
  <section class="slip" aria-label="The order">
    <h2>The order</h2>
    <ol class="list lines">
      <li v-for="(one, at) in lines" :key="one.key" :aria-label="dessertOf(one.dessert)?.name">
        <header>
          <strong>{{ dessertOf(one.dessert)?.name ?? '…' }}</strong>
          <button
            v-if="!disabled"
            type="button"
            class="deed small"
            :aria-label="`Take out ${dessertOf(one.dessert)?.name}`"
            @click="takeOut(one.key)"
          >
            ×
          </button>
        </header>
        <label>
          <span class="unseen">Made in</span>
          <RowChoice
            class="put-in"
            :value="one.mold ?? ''"
            :label="one.mold ? moldOf(one.mold)?.name : 'in its own mold'"
            :options="[{ value: '', label: 'in its own mold' }]"
            shelf="molds"
            :disabled="disabled"
            @change="(mold) => edit(one.key, { mold: mold || null })"
          />
        </label>
        <div class="many">
          <NumberField
            label="How many"
            bare
            :value="one.count"
            :disabled="disabled"
            :error="problem?.at(`lines.${at}.count`)"
            @commit="(v) => v !== null && edit(one.key, { count: v })"
          />
          <label>
            <span class="unseen">Counted by</span>
            <ChoiceField
              class="put-in"
              :value="one.by ?? 'desserts'"
              :options="BY"
              :disabled="disabled"
              @change="(by) => edit(one.key, { by: by as never })"
            />
          </label>
        </div>
        <label v-if="services.length > 1">
          <span class="unseen">Served when</span>
          <ChoiceField
            class="put-in"
            :value="one.service ?? ''"
            :options="[
              { value: '', label: 'at every service' },
              ...services.map((x) => ({ value: x.key, label: `at ${x.title ?? 'Service'}` })),
            ]"
            :disabled="disabled"
            @change="(service) => edit(one.key, { service: String(service) || null })"
          />
        </label>
        <p v-if="told(one.key)" class="quiet">
          {{ told(one.key)?.desserts }} × {{ told(one.key)?.says }},
          {{ told(one.key)?.portions }} portions<template v-if="told(one.key)?.trays"
            >, in <WorkedFigure :working="told(one.key)?.trays ?? null" plain
          /></template>
        </p>
      </li>
    </ol>
    <label v-if="!disabled">
      <span class="unseen">Put in a dessert</span>
      <RowChoice
        value=""
        class="put-in"
        shelf="desserts"
        :options="[{ value: '', label: 'Put in a dessert' }]"
        @change="(dessert) => dessert && add(dessert)"
      />
    </label>
    <p v-if="problem" class="wrong" role="alert">{{ problem.message }}</p>
    <template v-if="planned?.left.length">
      <h3>Left over</h3>
      <ul class="list left">
        <li v-for="one in planned.left" :key="one.formula">
          {{ one.name }} <strong>{{ figure(one.mass_g, 0) }} g</strong>
        </li>
      </ul>
    </template>
    <p class="quiet caution">
      Eggs, cooled creams and hot sugar: hold to your own food-safety plan and local codes.
    </p>
  </section>
</template>

<style scoped>
.lines {
  display: grid;
  gap: 10px;
  margin: 8px 0 10px;
}

.lines li {
  border-top: 1px solid var(--rule);
  display: grid;
  gap: 5px;
  padding-top: 8px;
}

.lines header {
  align-items: center;
  display: flex;
  justify-content: space-between;
}

.many {
  display: grid;
  gap: 6px;
  grid-template-columns: 90px 1fr;
}

.lines p,
.caution {
  font-size: 14px;
}

h3 {
  margin-top: 14px;
}

.put-in {
  width: 100%;
}

.left li {
  display: flex;
  justify-content: space-between;
  padding: 3px 0;
}

.caution {
  margin-top: 14px;
}
</style>
