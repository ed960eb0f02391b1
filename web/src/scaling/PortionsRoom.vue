<script setup lang="ts">
/** The dessert cut: what each portion weighs, and how to cut for so many guests. */
import { computed, reactive } from 'vue'

import type { Problem } from '../api/client'
import { house } from '../api/house'
import type { CutFor, FieldWords } from '../api/types'
import { useDessert } from '../desserts/useDessert'
import { figure } from '../kit/format'
import NumberField from '../kit/NumberField.vue'
import WorkedFigure from '../kit/WorkedFigure.vue'
import ZoneFrame from '../kit/ZoneFrame.vue'
import { useSession } from '../shell/session'
import PortionsDrawing from './PortionsDrawing.vue'
import ScaleShelf from './ScaleShelf.vue'
import { useCutFor, useLooks, useShared } from './useScaling'

const props = defineProps<{ id: string }>()
const { mayWrite } = useSession()
const { dessert: row } = useLooks(() => props.id)
const dessert = useDessert(() => props.id)
/** What is entered; what is not is as is usual. */
const entered = reactive<Record<string, number>>({})
const fields = computed(() => house.value.scaling)
const valueOf = (one: FieldWords) => entered[one.name] ?? one.first ?? 0
const all = (words: FieldWords[]) =>
  Object.fromEntries(words.map((one) => [one.name, valueOf(one)])) as never
const knife = computed(() => (fields.value.knife.length ? all(fields.value.knife) : undefined))
const asked = computed(() =>
  fields.value.covers.length ? all([...fields.value.knife, ...fields.value.covers]) : undefined,
)
const shared = useShared(
  () => props.id,
  () => knife.value,
)
const ways = useCutFor(
  () => props.id,
  () => asked.value,
)
const problem = computed(() => (ways.error.value ?? shared.error.value) as Problem | null)
const wrongAt = (name: string) => problem.value?.at(name)
const refused = computed(() => {
  const names = [...fields.value.knife, ...fields.value.covers].map((one) => one.name)
  return problem.value && !names.some(wrongAt) ? problem.value.message : undefined
})
const within = computed(() => ways.data.value?.some((one) => one.within))
const isSo = (one: CutFor) =>
  dessert.draft.value?.count === one.desserts &&
  JSON.stringify(dessert.draft.value.portions) === JSON.stringify(one.portions)

const cutSo = (one: CutFor) =>
  void dessert.edit({ portions: one.portions as never, count: one.desserts })
</script>

<template>
  <ZoneFrame shelf="How" board="Portions" ticket="For the guests">
    <template #shelf>
      <ScaleShelf :id="id" :name="row?.name" title="Portions" here="portions">
        <NumberField
          v-for="one in fields.covers"
          :key="one.name"
          :label="one.label"
          :value="valueOf(one)"
          :unit="one.unit"
          :step="one.step"
          :error="wrongAt(one.name)"
          @commit="(v) => v !== null && (entered[one.name] = v)"
        />
        <div class="knife">
          <NumberField
            v-for="one in fields.knife"
            :key="one.name"
            :label="one.label"
            :value="valueOf(one)"
            :unit="one.unit"
            :step="one.step"
            :error="wrongAt(one.name)"
            @commit="(v) => v !== null && (entered[one.name] = v)"
          />
        </div>
        <p class="quiet">
          Warm the knife in hot water and wipe it after every cut. Allergens of all parts are in
          every portion.
        </p>
      </ScaleShelf>
    </template>
    <header class="over">
      <h2>{{ row?.name }}</h2>
      <p v-if="shared.data.value" class="quiet">
        {{ shared.data.value.portions.length }} {{ shared.data.value.pieces }}, grams on each
      </p>
    </header>
    <p v-if="refused" class="wrong" role="alert">{{ refused }}</p>
    <PortionsDrawing v-if="shared.data.value" :shared="shared.data.value" />
    <template #ticket>
      <section class="slip" aria-label="For the guests">
        <h2>As it is cut now</h2>
        <table v-if="shared.data.value" class="takes" aria-label="Portions">
          <tbody>
            <tr>
              <th scope="row">A portion</th>
              <td><WorkedFigure :working="shared.data.value.mean" /></td>
            </tr>
            <tr>
              <th scope="row">Heaviest to lightest</th>
              <td><WorkedFigure :working="shared.data.value.spread" /></td>
            </tr>
            <tr>
              <th scope="row">On the knife, off the ends</th>
              <td><WorkedFigure :working="shared.data.value.lost" /></td>
            </tr>
          </tbody>
        </table>
        <h3>For {{ entered.covers ?? fields.covers[0]?.first }} covers</h3>
        <p v-if="ways.data.value && !within" class="far">
          No cut keeps within the spread; these come nearest.
        </p>
        <ol class="list ways">
          <li v-for="(one, at) in ways.data.value" :key="at">
            <strong>{{ one.desserts }} × {{ one.says }}</strong>
            <span class="quiet">
              {{ figure(one.portion_g, 0) }} g, spread {{ figure(one.spread_g, 0) }} g,
              {{ one.over ? `${one.over} left over` : 'none left over' }}
            </span>
            <button
              v-if="mayWrite"
              type="button"
              class="deed small"
              :disabled="isSo(one) || dessert.saving.value"
              @click="cutSo(one)"
            >
              {{ isSo(one) ? 'Cut so' : 'Cut it so' }}
            </button>
          </li>
        </ol>
        <p v-if="dessert.problem.value" class="wrong" role="alert">
          {{ dessert.problem.value.detail }}
        </p>
      </section>
    </template>
  </ZoneFrame>
</template>

<style scoped>
.knife {
  display: grid;
  gap: 8px;
  grid-template-columns: 1fr 1fr;
}

.over {
  align-items: baseline;
  display: flex;
  flex-wrap: wrap;
  gap: 2px 14px;
  margin-bottom: 10px;
}

h3 {
  margin: 16px 0 4px;
}

.far {
  color: var(--amber);
  font-size: 14px;
}

.ways li {
  align-items: center;
  border-top: 1px solid var(--rule);
  display: grid;
  gap: 0 8px;
  grid-template-columns: 1fr auto;
  padding: 7px 0;
}

.ways .quiet {
  font-size: 13px;
  grid-column: 1;
}

.ways .deed {
  grid-column: 2;
  grid-row: 1 / span 2;
}
</style>
