<script setup lang="ts">
/** A formula from nothing: name its job, choose what goes in; it is proposed, with reasons. */
import Modal from 'ant-design-vue/es/modal'
import { computed, ref, watch } from 'vue'

import { Problem } from '../../api/client'
import { house } from '../../api/house'
import type { FormulaEntry } from '../../api/types'
import ChoiceField from '../../kit/ChoiceField.vue'
import { figure } from '../../kit/format'
import NumberField from '../../kit/NumberField.vue'
import TextField from '../../kit/TextField.vue'
import WorkedFigure from '../../kit/WorkedFigure.vue'
import { useFamilies, useProposal, type Wish } from './useSetting'

const emit = defineEmits<{ make: [entry: FormulaEntry]; close: [] }>()
defineProps<{ error: string | undefined }>()
const { families } = useFamilies()
const familyKey = ref('')
const family = computed(
  () => families.value.find((one) => one.key === familyKey.value) ?? families.value[0],
)
const jobKey = ref('')
const job = computed(
  () => family.value?.jobs.find((one) => one.key === jobKey.value) ?? family.value?.jobs[0],
)
const picks = ref<Record<string, string>>({})
const without = ref<string[]>([])
const { wish: fields } = house.value.formulas
const fresh = () => Object.fromEntries(fields.map((one) => [one.name, one.first]))
const wished = ref<Record<string, number | null>>(fresh())
const way = ref('')
const name = ref('')
watch(
  () => job.value?.key,
  () => {
    picks.value = {}
    without.value = []
    wished.value = { ...fresh(), finished_g: wished.value.finished_g ?? null }
    way.value = ''
  },
)
const wish = (): Wish | null =>
  job.value
    ? {
        job: job.value.key,
        picks: picks.value,
        without: without.value,
        finished_g: wished.value.finished_g ?? 0,
        holds_at_c: wished.value.holds_at_c ?? null,
        way: way.value,
      }
    : null
const { data, error: refused } = useProposal(wish)
const errorAt = (field: string) =>
  refused.value instanceof Problem ? refused.value.at(field) : undefined
/** What is wished for beside the choices: some of it only where its job asks. */
const asked = computed(() =>
  fields.filter((one) => !one.empty || job.value?.tools.includes('holds at')),
)
const choicesOf = (slot: string) =>
  (data.value?.choices[slot] ?? []).map((one) => ({ value: one.id, label: one.name }))
const jobs = computed(() =>
  (family.value?.jobs ?? []).map((one) => ({ value: one.key, label: one.name })),
)
const usual = computed(() => data.value?.entry.name ?? '')

function toggle(stuff: string) {
  without.value = without.value.includes(stuff)
    ? without.value.filter((one) => one !== stuff)
    : [...without.value, stuff]
}
function make() {
  if (data.value) emit('make', { ...data.value.entry, name: name.value.trim() || usual.value })
}
</script>

<template>
  <Modal open title="Set one for its job" :footer="null" width="920px" @cancel="emit('close')">
    <div class="new">
      <nav aria-label="Families">
        <button
          v-for="one in families"
          :key="one.key"
          type="button"
          :class="['family', { chosen: one.key === family?.key }]"
          :aria-pressed="one.key === family?.key"
          @click="familyKey = one.key"
        >
          {{ one.name }}
        </button>
      </nav>
      <section v-if="job" class="choices" aria-label="The job">
        <label class="word">
          <span>for</span>
          <ChoiceField :value="job.key" :options="jobs" @change="(key) => (jobKey = String(key))" />
        </label>
        <label v-for="{ slot, says, usual: like } in job.slots" :key="slot" class="word">
          <span>{{ says }}</span>
          <ChoiceField
            :value="picks[slot] ?? data?.picked[slot]"
            :options="choicesOf(slot)"
            :placeholder="like"
            shelf="ingredients"
            @change="(id) => (picks = { ...picks, [slot]: String(id) })"
          />
        </label>
        <label v-if="job.ways.length" class="word">
          <span>way</span>
          <ChoiceField
            :value="way || job.ways[0]"
            :options="job.ways.map((one) => ({ value: one, label: one }))"
            @change="(one) => (way = String(one))"
          />
        </label>
        <fieldset v-if="job.options.length">
          <legend class="eyebrow">If you like</legend>
          <label v-for="one in job.options" :key="one.stuff" class="option">
            <input
              type="checkbox"
              :checked="!without.includes(one.stuff)"
              @change="toggle(one.stuff)"
            />
            <span
              >{{ one.name }} <span class="quiet">{{ one.why }}</span></span
            >
          </label>
        </fieldset>
        <NumberField
          v-for="one in asked"
          :key="one.name"
          :label="one.label"
          :unit="one.unit"
          :step="one.step"
          :optional="Boolean(one.empty)"
          :placeholder="one.empty"
          :value="wished[one.name] ?? null"
          :error="errorAt(one.name)"
          @commit="(v) => (wished = { ...wished, [one.name]: v })"
        />
      </section>
      <section class="proposal" aria-label="The proposal" aria-live="polite">
        <p v-if="refused" class="wrong" role="alert">{{ refused.message }}</p>
        <template v-else-if="data">
          <p class="dial">
            <WorkedFigure
              v-if="data.reading.landing?.working"
              :working="data.reading.landing.working"
            />
            <span class="quiet">
              {{ job?.dial.name.toLowerCase() }}: {{ data.reading.landing?.band?.name }}</span
            >
          </p>
          <table aria-label="Lines">
            <tbody>
              <tr v-for="line in data.entry.lines" :key="line.key">
                <td class="grams">{{ figure(line.mass_g, 1) }}</td>
                <th scope="row">
                  {{ data.names[line.key] }}
                  <span class="quiet">{{ data.why[line.key] }}</span>
                </th>
              </tr>
            </tbody>
          </table>
          <p v-for="one in data.reading.judged" :key="one.finding.code" class="finding">
            {{ one.finding.message }} {{ one.finding.remedy }}
          </p>
          <p class="quiet">
            {{ data.entry.method?.length }} steps come with it; all of it can be changed afterwards.
          </p>
          <div class="ends">
            <TextField v-model="name" label="Name" :hint="`else ‘${usual}’`" />
            <button type="button" class="deed main write" @click="make">Write it down</button>
          </div>
          <p v-if="error" class="wrong" role="alert">{{ error }}</p>
        </template>
        <p v-else class="quiet" role="status">Setting it …</p>
      </section>
    </div>
  </Modal>
</template>

<style scoped>
.new {
  display: grid;
  gap: 20px;
  grid-template-columns: 138px 270px 1fr;
  min-height: 430px;
}

nav {
  align-content: start;
  border-right: 1px solid var(--rule);
  display: grid;
  gap: 2px;
  padding-right: 12px;
}

.family {
  background: none;
  border: 1px solid transparent;
  border-radius: var(--round);
  cursor: pointer;
  padding: 5px 10px;
  text-align: left;
}

.family:hover {
  background: var(--porcelain-shade);
}

.family.chosen {
  background: var(--bronze-wash);
  border-color: var(--bronze);
  font-weight: 700;
}

.choices {
  align-content: start;
  display: grid;
  gap: 10px;
}

.word {
  display: grid;
  gap: 1px;
}

.word > span:first-child {
  color: var(--muted);
}

fieldset {
  border: 0;
  display: grid;
  gap: 3px;
  margin: 0;
  padding: 0;
}

.option {
  align-items: baseline;
  display: flex;
  gap: 8px;
}

.option .quiet {
  display: block;
  line-height: 1.2;
}

.proposal {
  align-content: start;
  display: grid;
  gap: 8px;
}

.dial .quiet {
  margin-left: 6px;
}

.dial :deep(strong) {
  font-size: 22px;
}

table {
  border-collapse: collapse;
  width: 100%;
}

tr {
  border-top: 1px solid var(--rule);
}

th {
  font-weight: 400;
  padding: 3px 6px;
  text-align: left;
}

th .quiet {
  display: block;
  font-size: 12.5px;
  line-height: 1.2;
}

.grams {
  font-size: 17px;
  font-weight: 700;
  padding-right: 12px;
  text-align: right;
  vertical-align: top;
  width: 66px;
}

.finding {
  color: var(--amber);
}

.ends {
  align-items: start;
  display: grid;
  gap: 10px;
  grid-template-columns: 1fr auto;
}

.write {
  margin-top: 19px;
}

@media (max-width: 860px) {
  .new {
    grid-template-columns: 1fr;
  }
}
</style>
