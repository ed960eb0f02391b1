<script setup lang="ts">
/** What the chef reads: who changed what on the shelves, and what happened at the door. */
import { computed } from 'vue'

import { dayAndClock } from '../kit/format'
import { useRecord } from './useRecord'

const ROOM: Record<string, string> = {
  dessert: 'desserts',
  formula: 'formulas',
  ingredient: 'pantry',
  mold: 'molds',
}
const { changes, events } = useRecord()
const refusal = computed(() => changes.error.value?.message ?? events.error.value?.message)
const words = (fields: string[]) => fields.map((one) => one.replace(/_/g, ' ')).join(', ')
</script>

<template>
  <section class="record" aria-label="What happened here">
    <h1>What happened here</h1>
    <p v-if="refusal" class="wrong" role="alert">{{ refusal }}</p>
    <div v-else class="halves">
      <section aria-labelledby="on-shelves">
        <h2 id="on-shelves">On the shelves</h2>
        <ol class="list">
          <li v-for="one in changes.rows.value" :key="one.id" class="entry">
            <span class="quiet">{{ dayAndClock(one.at) }}</span>
            <span>
              <strong>{{ one.person ?? 'Somebody' }}</strong> {{ one.action }}
              <RouterLink v-if="ROOM[one.kind] && one.name" :to="`/${ROOM[one.kind]}/${one.row}`">{{
                one.name
              }}</RouterLink>
              <template v-else>{{ one.name ?? `the ${one.kind}` }}</template>
              <span v-if="one.action === 'changed'" class="quiet fields">
                {{ words(one.fields) }}
              </span>
            </span>
          </li>
        </ol>
        <p v-if="!changes.rows.value.length" class="quiet">Nothing was changed yet.</p>
        <button v-if="changes.left.value" type="button" class="deed small" @click="changes.more">
          Earlier changes
        </button>
      </section>
      <section aria-labelledby="at-door">
        <h2 id="at-door">At the door</h2>
        <ol class="list">
          <li v-for="one in events.rows.value" :key="one.id" class="entry">
            <span class="quiet">{{ dayAndClock(one.at) }}</span>
            <span>
              <strong>{{ one.person ?? 'Somebody' }}</strong> {{ one.what
              }}<template v-if="one.more">: {{ one.more }}</template
              ><template v-if="one.by">, by {{ one.by }}</template>
              <span class="quiet fields">
                {{ [one.address, one.agent].filter(Boolean).join(' · ') }}
              </span>
            </span>
          </li>
        </ol>
        <p v-if="!events.rows.value.length" class="quiet">Nothing happened yet.</p>
        <button v-if="events.left.value" type="button" class="deed small" @click="events.more">
          Earlier at the door
        </button>
        <p class="quiet kept">Kept for half a year.</p>
      </section>
    </div>
  </section>
</template>

<style scoped>
.record {
  margin: 0 auto;
  max-width: 1100px;
  padding: 24px;
}

.halves {
  display: grid;
  gap: 40px;
  grid-template-columns: repeat(auto-fit, minmax(min(400px, 100%), 1fr));
  margin-top: 18px;
}

.entry {
  border-top: 1px solid var(--rule);
  display: grid;
  gap: 12px;
  grid-template-columns: 110px 1fr;
  overflow-wrap: anywhere;
  padding: 8px 0;
}

.fields {
  display: block;
}

.kept {
  margin-top: 10px;
}
</style>
