<script setup lang="ts">
/** Name what the formula must meet; the nearest one is found, or what cannot be had together. */
import Modal from 'ant-design-vue/es/modal'
import { computed, ref } from 'vue'

import { Problem } from '../../api/client'
import { house } from '../../api/house'
import type { Fitted, FormulaEntry, Job } from '../../api/types'
import { figure } from '../../kit/format'
import WorkedFigure from '../../kit/WorkedFigure.vue'
import { type LineEntry, withGrams } from '../lines'
import DemandRow from './DemandRow.vue'
import { asked, fresh, type Typed, whole } from './demands'
import { askFit, useFamilies } from './useSetting'

const props = defineProps<{
  id: string
  entry: FormulaEntry
  job: Job | undefined
  eggs: boolean
  nameOf: (line: LineEntry) => string
}>()
const emit = defineEmits<{ change: [change: Partial<FormulaEntry>]; close: [] }>()
const { figures } = useFamilies()
const lines = computed(() =>
  (props.entry.lines ?? []).map((line) => ({ value: line.key, label: props.nameOf(line) })),
)
const band = props.job?.dial.bands.find((one) => one.name === props.job?.band)
const typed = ref<Typed[]>(
  band
    ? [fresh('reads', { figure: 'dial', least: band.least, most: band.most })]
    : [fresh('reads')],
)
const found = ref<Fitted | null>(null)
const problem = ref<Problem | null>(null)
const busy = ref(false)
const kinds = computed(() =>
  house.value.formulas.demands.filter((one) => props.eggs || !one.of_eggs),
)
const ready = computed(() => typed.value.some(whole))

function set(id: string, change: Partial<Typed>) {
  typed.value = typed.value.map((one) => (one.id === id ? { ...one, ...change } : one))
  found.value = null
}
/** What the server says of one of those that were asked, counted as they were sent. */
const errorOf = (one: Typed) => {
  const field = `demands.${typed.value.filter(whole).indexOf(one)}`
  return problem.value?.errors.find((error) => error.field.startsWith(field))?.message
}

async function find() {
  if (busy.value) return
  busy.value = true
  problem.value = null
  found.value = null
  try {
    found.value = await askFit(props.id, props.entry, asked(typed.value))
  } catch (error) {
    if (!(error instanceof Problem)) throw error
    problem.value = error
  } finally {
    busy.value = false
  }
}

function takeIt() {
  const grams = (found.value?.lines ?? []).map((one) => [one.key, one.after_g] as const)
  emit('change', { lines: withGrams(props.entry.lines ?? [], grams) })
}
const moved = computed(() => found.value?.gauges.filter((one) => one.moved) ?? [])
const missed = computed(() => found.value?.asked.filter((one) => one.missed > 0) ?? [])
</script>

<template>
  <Modal open title="Fit it to what is asked" :footer="null" width="940px" @cancel="emit('close')">
    <div class="fit">
      <section aria-label="What is asked">
        <ul class="list">
          <DemandRow
            v-for="one in typed"
            :key="one.id"
            :demand="one"
            :figures="figures"
            :dial="job?.dial"
            :lines="lines"
            :error="errorOf(one)"
            @change="(change) => set(one.id, change)"
            @remove="typed = typed.filter((other) => other.id !== one.id)"
          />
        </ul>
        <p class="more">
          <span class="quiet">Ask also</span>
          <button
            v-for="one in kinds"
            :key="one.kind"
            type="button"
            class="deed small dashed"
            @click="typed = [...typed, fresh(one.kind)]"
          >
            {{ one.says }}
          </button>
        </p>
        <button type="button" class="deed main" :disabled="!ready" :aria-busy="busy" @click="find">
          Find the nearest
        </button>
        <p v-if="problem" class="wrong" role="alert">{{ problem.detail }}</p>
      </section>
      <section v-if="found" aria-label="What was found" aria-live="polite">
        <div v-if="found.conflict.length" class="conflict">
          <strong>These cannot be had together:</strong>
          <ul>
            <li v-for="(says, i) in found.conflict" :key="i">{{ says }}</li>
          </ul>
          <p>
            {{
              found.told_apart
                ? 'Without any one of them the rest can.'
                : 'It may be fewer of them: the search was stopped before it could tell.'
            }}
            The nearest there is misses
            {{ missed.map((one) => one.says).join(', ') }}.
          </p>
        </div>
        <table aria-label="Lines before and after">
          <tbody>
            <tr v-for="one in found.lines" :key="one.key">
              <th scope="row">
                {{ one.name }}
                <span v-if="one.because.length" class="quiet"
                  >for {{ one.because.join(', ') }}</span
                >
              </th>
              <td class="number quiet">{{ figure(one.before_g, 1) }}</td>
              <td :class="['number', { moved: one.before_g !== one.after_g }]">
                {{ figure(one.after_g, 1) }} g
              </td>
            </tr>
          </tbody>
          <tbody>
            <tr class="take">
              <td colspan="3">
                <button type="button" class="deed main" @click="takeIt">
                  {{ found.conflict.length ? 'Take the nearest' : 'Take it' }}
                </button>
              </td>
            </tr>
          </tbody>
          <tbody v-if="moved.length">
            <tr class="eyebrow">
              <th scope="colgroup" colspan="3">readings that move</th>
            </tr>
            <tr v-for="one in moved" :key="one.code">
              <th scope="row">{{ one.name }}</th>
              <td class="number"><WorkedFigure plain :working="one.before" unit="" /></td>
              <td :class="['number', { off: !one.fits }]">
                <WorkedFigure
                  :working="one.after"
                  v-bind="one.beside === null ? {} : { unit: one.beside }"
                />
              </td>
            </tr>
          </tbody>
        </table>
        <p class="quiet">
          {{ found.source }}.
          <template v-if="found.kept_g"
            >The size was not asked: {{ figure(found.kept_g, 0) }} g stay.</template
          >
        </p>
      </section>
      <p v-else class="quiet hint">
        Least change: the lines move as little as they can, for as few reasons as there are. Each
        says what moved it.
      </p>
    </div>
  </Modal>
</template>

<style scoped>
.fit {
  display: grid;
  gap: 22px;
  grid-template-columns: minmax(0, 1fr) minmax(0, 430px);
}

section {
  align-content: start;
  display: grid;
  gap: 8px;
  justify-items: start;
}

section > ul,
table {
  width: 100%;
}

.more {
  align-items: center;
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
}

.conflict {
  background: var(--amber-wash);
  border: 1px solid var(--amber-rule);
  border-radius: var(--round);
  padding: 8px 12px;
  width: 100%;
}

.conflict ul {
  margin: 4px 0;
  padding-left: 20px;
}

table {
  border-collapse: collapse;
}

th,
td {
  border-bottom: 1px solid var(--rule);
  font-weight: 400;
  padding: 3px 6px;
  text-align: left;
}

th .quiet {
  display: block;
  font-size: 12.5px;
}

.eyebrow th {
  font-weight: 600;
  padding-top: 8px;
}

.number {
  text-align: right;
  white-space: nowrap;
  width: 74px;
}

.take td {
  padding-block: 8px;
  text-align: right;
}

.moved {
  background: var(--bronze-wash);
  font-weight: 700;
}

.off :deep(strong) {
  color: var(--amber);
}

.hint {
  align-self: center;
}

@media (max-width: 900px) {
  .fit {
    grid-template-columns: 1fr;
  }
}
</style>
