<script setup lang="ts">
/** What is proposed: where it lands on its dial, its lines with reasons, what to know of it. */
import { ref } from 'vue'

import type { FormulaEntry, Job, Proposal } from '../../api/types'
import { figure } from '../../kit/format'
import TextField from '../../kit/TextField.vue'
import WorkedFigure from '../../kit/WorkedFigure.vue'

const props = defineProps<{
  proposal: Proposal | undefined
  job: Job
  refused: Error | null
  error: string | undefined
}>()
const emit = defineEmits<{ make: [entry: FormulaEntry] }>()
const name = ref('')

function make() {
  const entry = props.proposal?.entry
  if (entry) emit('make', { ...entry, name: name.value.trim() || entry.name })
}
</script>

<template>
  <section class="proposal" aria-label="The proposal" aria-live="polite">
    <p v-if="refused" class="wrong" role="alert">{{ refused.message }}</p>
    <template v-else-if="proposal">
      <p class="dial">
        <WorkedFigure
          v-if="proposal.reading.landing?.working"
          :working="proposal.reading.landing.working"
        />
        <span class="quiet">
          {{ job.dial.name.toLowerCase() }}: {{ proposal.reading.landing?.band?.name }}</span
        >
      </p>
      <div class="made" role="group" aria-label="Lines and steps" tabindex="0">
        <table aria-label="Lines">
          <tbody>
            <tr v-for="line in proposal.entry.lines" :key="line.key">
              <td class="grams">{{ figure(line.mass_g, 1) }}</td>
              <th scope="row">
                {{ proposal.names[line.key] }}
                <span class="quiet">{{ proposal.why[line.key] }}</span>
              </th>
            </tr>
          </tbody>
        </table>
        <p v-for="one in proposal.reading.judged" :key="one.finding.code" class="finding">
          {{ one.finding.message }} {{ one.finding.remedy }}
        </p>
        <ol class="steps" aria-label="Steps">
          <li v-for="(step, i) in proposal.entry.method" :key="i">
            <strong>{{ step.stage }}</strong> {{ proposal.reading.method[i] }}
            <span class="facts">{{ proposal.reading.told[i] }}</span>
          </li>
        </ol>
        <p v-for="note in proposal.reading.here?.notes" :key="note" class="quiet">{{ note }}</p>
      </div>
      <p class="quiet">All of it can be changed afterwards.</p>
      <div class="ends">
        <TextField v-model="name" label="Name" :hint="`else ‘${proposal.entry.name}’`" />
        <button type="button" class="deed main write" @click="make">Write it down</button>
      </div>
      <p v-if="error" class="wrong" role="alert">{{ error }}</p>
    </template>
    <p v-else class="quiet" role="status">Setting it …</p>
  </section>
</template>

<style scoped>
.made {
  display: grid;
  gap: 8px;
  max-height: 52vh;
  overflow-y: auto;
}

.steps {
  border-top: 1px solid var(--rule);
  display: grid;
  font-size: 14px;
  gap: 3px;
  margin: 0;
  padding: 6px 0 0 18px;
}

.facts {
  color: var(--frost-text);
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
</style>
