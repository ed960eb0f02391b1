<script setup lang="ts">
/** What changed: every save, named or not; compare it with now, or bring it back. */
import { computed, defineAsyncComponent, ref } from 'vue'

import { refusalOf } from '../api/client'
import type { Revision } from '../api/types'
import { dayAndClock } from '../kit/format'
import TextField from '../kit/TextField.vue'
import { useRevisions } from './useRevisions'

const CompareDialog = defineAsyncComponent(() => import('./CompareDialog.vue'))
const props = defineProps<{
  id: string
  revision: number | undefined
  /** What is said of a batch that did its job: 'dripped well'. */
  did: string | undefined
  disabled: boolean
}>()
const emit = defineEmits<{ restore: [revision: number] }>()
const revisions = useRevisions(
  () => props.id,
  () => props.revision,
)
const SHORT = 6
const GOOD = 'made a good batch'
const whole = ref(false)
const every = computed(() => [...revisions.newest.value, ...revisions.marked.value])
const shown = computed(() =>
  every.value.filter((one, i) => whole.value || i < SHORT || one.name || one.good),
)
const good = computed(() => every.value.find((one) => one.good))
const comparing = ref<number | null>(null)
const naming = ref<number | null>(null)
const typed = ref('')
const refusal = ref('')

function rename(one: Revision) {
  naming.value = one.revision
  typed.value = one.name
}

/** Once: leaving the field after Enter, or after Escape, says nothing more. */
function named(one: Revision) {
  if (naming.value === one.revision) void mark(one, { name: typed.value })
}

async function mark(one: Revision, change: { name?: string; good?: boolean }) {
  naming.value = null
  refusal.value = ''
  try {
    await revisions.mark(one, change)
  } catch (error) {
    refusal.value = refusalOf(error).detail
  }
}
</script>

<template>
  <section class="revisions" aria-label="What changed">
    <header>
      <h3>What changed</h3>
      <button
        v-if="good && good.revision !== revision"
        type="button"
        class="deed small"
        @click="comparing = good.revision"
      >
        Since the last good batch
      </button>
    </header>
    <ol class="list">
      <li v-for="one in shown" :key="one.revision">
        <span class="number">
          <strong>{{ one.revision }}</strong>
          {{ one.revision === revision ? 'now' : '' }}
        </span>
        <span class="what">
          <TextField
            v-if="naming === one.revision"
            v-model="typed"
            label="Name of the revision"
            @focusout="named(one)"
            @keydown.enter="named(one)"
            @keydown.esc="naming = null"
          />
          <template v-else>
            <strong v-if="one.name">‘{{ one.name }}’ </strong>
            {{ one.says.join('; ') || one.action }}
            <span class="quiet"> {{ dayAndClock(one.at) }}, {{ one.who }}</span>
          </template>
        </span>
        <span class="deeds">
          <button
            v-if="!disabled"
            type="button"
            :class="['mark', { good: one.good }]"
            :aria-pressed="one.good"
            :aria-label="`Revision ${one.revision} ${did ?? GOOD}`"
            @click="mark(one, { good: !one.good })"
          >
            {{ one.good ? '●' : '○' }} {{ did ?? GOOD }}
          </button>
          <button v-if="!disabled" type="button" class="mark" @click="rename(one)">name</button>
          <template v-if="one.revision !== revision">
            <button type="button" class="mark" @click="comparing = one.revision">compare</button>
            <button
              v-if="!disabled"
              type="button"
              class="mark"
              @click="emit('restore', one.revision)"
            >
              bring back
            </button>
          </template>
        </span>
      </li>
    </ol>
    <p v-if="refusal" class="wrong" role="alert">{{ refusal }}</p>
    <button
      v-if="revisions.newest.value.length > SHORT"
      type="button"
      class="deed small"
      @click="whole = !whole"
    >
      {{ whole ? 'Show the last ones' : 'Show more' }}
    </button>
    <button
      v-if="whole && revisions.left.value"
      type="button"
      class="deed small"
      @click="revisions.more"
    >
      Earlier ones
    </button>
    <CompareDialog
      v-if="comparing !== null && revision"
      :id="id"
      :before="comparing"
      :after="revision"
      @close="comparing = null"
    />
  </section>
</template>

<style scoped>
.revisions {
  display: grid;
  gap: 4px;
  justify-items: start;
}

header {
  align-items: center;
  display: flex;
  gap: 12px;
}

ol {
  width: 100%;
}

li {
  align-items: baseline;
  border-top: 1px solid var(--rule);
  display: grid;
  font-size: 14px;
  gap: 10px;
  grid-template-columns: 52px 1fr auto;
  padding: 4px 0;
}

.mark {
  background: none;
  border: 0;
  color: var(--muted);
  cursor: pointer;
  font-size: 13px;
  min-height: 24px;
  padding: 0 5px;
  text-decoration: underline;
  text-underline-offset: 2px;
}

.mark.good {
  color: var(--fern);
  font-weight: 700;
  text-decoration: none;
}
</style>
