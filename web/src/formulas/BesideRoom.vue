<script setup lang="ts">
/** Two to six formulas beside each other: on 100 g, what they do, what they cost, in a bite. */
import { computed, ref, watch } from 'vue'
import { useRouter } from 'vue-router'

import { useRow } from '../api/shelves'
import ChoiceField from '../kit/ChoiceField.vue'
import { figure } from '../kit/format'
import RowChoice from '../kit/RowChoice.vue'
import WorkedFigure from '../kit/WorkedFigure.vue'
import BesideRow from './BesideRow.vue'
import { FEWEST, MOST, useBeside, useBites } from './useBeside'

const props = defineProps<{ asked: string[] }>()
const router = useRouter()
const { data, error } = useBeside(() => props.asked)
const go = (ids: string[]) =>
  router.replace({ path: '/formulas/beside', query: ids.length ? { f: ids.join(',') } : {} })
const add = (id: string) => id && !props.asked.includes(id) && go([...props.asked, id])
const out = (at: number) => go(props.asked.filter((_, one) => one !== at))
function move(at: number, by: 1 | -1) {
  const next = [...props.asked]
  const [one] = next.splice(at, 1)
  if (one) next.splice(at + by, 0, one)
  void go(next)
}

/** Only while the table is of what is asked; an answer on the way keeps the one before. */
const table = computed(() => (props.asked.length >= FEWEST ? data.value?.table : undefined))
const shown = computed(() => data.value?.formulas ?? [])
const columns = computed(() =>
  (table.value?.names ?? []).map((name, at) => ({ name, at, id: shown.value[at] ?? '' })),
)
const SECTIONS = [
  ['contains', 'What is in it'],
  ['does', 'What it does'],
  ['costs', 'What it costs'],
] as const
const readings = computed(() =>
  SECTIONS.map(([section, title]) => ({
    title,
    rows: (table.value?.readings ?? []).filter((one) => one.section === section),
  })).filter((one) => one.rows.length),
)

const dessert = ref<string>()
const row = useRow('desserts', () => dessert.value)
/** The formulas of the dessert, one of which gives its place. */
const places = computed(() =>
  (row.data.value?.made_of ?? []).map(({ id, name }) => ({ value: id, label: name })),
)
const of = ref('')
watch(places, (now) => {
  of.value =
    now.find((one) => props.asked.includes(one.value))?.value ?? String(now[0]?.value ?? '')
})
const bites = useBites(
  () => shown.value,
  () => dessert.value ?? '',
  () => of.value,
)
const print = () => window.print()
/** Columns are of one width: the bars are read across them. */
const NAMES_PX = 220
const COLUMN_PX = 118
</script>

<template>
  <div class="beside-room">
    <header>
      <p class="no-print"><RouterLink to="/formulas">← Formulas</RouterLink></p>
      <h1>Side by side</h1>
      <span class="tools no-print">
        <label v-if="asked.length < MOST">
          <span class="unseen">One more formula</span>
          <RowChoice
            shelf="formulas"
            placeholder="One more formula"
            :fits="(one) => !asked.includes(one.id)"
            @change="add"
          />
        </label>
        <button type="button" class="deed" :disabled="!table" @click="print">Print</button>
      </span>
    </header>
    <p v-if="error" class="wrong" role="alert">{{ error.message }}</p>
    <p v-else-if="asked.length < FEWEST" class="quiet">
      Choose two to six formulas here, or mark them on the shelf.
    </p>
    <div v-if="table" class="scroll">
      <table
        aria-label="Formulas side by side"
        :style="{ minWidth: `${NAMES_PX + columns.length * COLUMN_PX}px` }"
      >
        <thead>
          <tr>
            <td />
            <th v-for="one in columns" :key="one.id" scope="col">
              <RouterLink :to="`/formulas/${one.id}`">{{ one.name }}</RouterLink>
              <span class="no-print moves">
                <button
                  type="button"
                  class="deed small"
                  :disabled="!one.at"
                  :aria-label="`${one.name} further left`"
                  @click="move(one.at, -1)"
                >
                  ◂
                </button>
                <button
                  type="button"
                  class="deed small"
                  :disabled="one.at === columns.length - 1"
                  :aria-label="`${one.name} further right`"
                  @click="move(one.at, 1)"
                >
                  ▸
                </button>
                <button
                  type="button"
                  class="deed small"
                  :aria-label="`Take ${one.name} away`"
                  @click="out(one.at)"
                >
                  ✕
                </button>
              </span>
            </th>
          </tr>
        </thead>
        <tbody>
          <tr class="eyebrow">
            <th scope="colgroup" :colspan="columns.length + 1">in 100 g weighed</th>
          </tr>
          <BesideRow
            v-for="(line, i) in table.lines"
            :key="i"
            :name="line.name"
            :workings="line.shares"
            :text="(value) => figure(value, 1)"
            bars
          />
        </tbody>
        <tbody v-for="(group, at) in readings" :key="at">
          <tr class="eyebrow">
            <th scope="colgroup" :colspan="columns.length + 1">{{ group.title }}</th>
          </tr>
          <BesideRow
            v-for="one in group.rows"
            :key="one.code"
            :name="one.name"
            :workings="one.workings"
            :verdicts="one.verdicts"
            :text="(value) => figure(value, one.decimals ?? (Math.abs(value) < 1 ? 2 : 1))"
          />
        </tbody>
        <tbody v-if="data?.known.length">
          <tr class="eyebrow">
            <th scope="colgroup" :colspan="columns.length + 1">What else is known</th>
          </tr>
          <tr v-for="(one, at) in data.known" :key="at">
            <th scope="row">{{ one.name }}</th>
            <td v-for="(aside, i) in one.of" :key="i">
              <WorkedFigure
                v-if="aside?.working"
                :working="aside.working"
                :text="aside.says"
                unit=""
              />
              <template v-else>{{ aside?.says ?? '–' }}</template>
            </td>
          </tr>
        </tbody>
        <tbody :class="{ 'no-print': !bites.data.value }">
          <tr class="eyebrow">
            <th scope="colgroup" :colspan="columns.length + 1">In a whole bite</th>
          </tr>
          <tr class="no-print">
            <td :colspan="columns.length + 1">
              <span class="picks">
                <label>
                  <span class="eyebrow">A bite of</span>
                  <RowChoice
                    v-model:value="dessert"
                    shelf="desserts"
                    placeholder="of a dessert …"
                  />
                </label>
                <label v-if="places.length">
                  <span class="eyebrow">with each in the place of</span>
                  <ChoiceField v-model:value="of" :options="places" />
                </label>
              </span>
            </td>
          </tr>
          <tr v-if="bites.data.value">
            <th scope="row">Sweetness of a bite of {{ row.data.value?.name }}</th>
            <td v-for="one in bites.data.value" :key="one.formula">
              <WorkedFigure
                v-if="one.sweetness"
                :working="one.sweetness"
                :text="figure(one.sweetness.value, 1)"
                unit=""
              />
              <span v-else class="quiet">cannot be told</span>
            </td>
          </tr>
        </tbody>
      </table>
    </div>
    <p v-if="bites.error.value" class="wrong" role="alert">{{ bites.error.value.message }}</p>
    <p v-if="table" class="quiet">
      Read with the pantry and the prices of today. A figure in amber lies outside the window of its
      kind.
    </p>
  </div>
</template>

<style scoped>
.beside-room {
  display: flex;
  flex-direction: column;
  gap: 10px;
  height: 100%;
  overflow-y: auto;
  padding: 16px 22px;
}

header {
  align-items: center;
  display: flex;
  flex-wrap: wrap;
  gap: 8px 20px;
}

h1 {
  flex: 1;
  margin: 0;
}

.tools,
.picks {
  align-items: center;
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}

label {
  display: grid;
  width: 220px;
}

.scroll {
  flex: none;
  overflow-x: auto;
}

table {
  border-collapse: collapse;
  table-layout: fixed;
  width: 100%;
}

table :deep(th),
table :deep(td) {
  border-bottom: 1px solid var(--rule);
  font-weight: 400;
  padding: 4px 12px;
  text-align: left;
  vertical-align: top;
}

thead th {
  border-bottom: 2px solid var(--bronze);
}

thead td {
  width: 220px;
}

thead th a {
  color: var(--ink);
  display: block;
  font-weight: 700;
}

.moves {
  display: flex;
  gap: 3px;
  margin-top: 4px;
}

table :deep(.eyebrow th) {
  border-bottom: 0;
  font-weight: 600;
  padding-top: 12px;
}

@media print {
  .beside-room {
    height: auto;
    overflow: visible;
    padding: 0;
  }

  .scroll {
    overflow: visible;
  }
}
</style>
