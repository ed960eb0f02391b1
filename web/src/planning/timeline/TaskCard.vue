<script setup lang="ts">
/** One task of the plan: when, who, how late it may be; held, marked, moved. */
import { computed } from 'vue'

import type { Board } from '../../api/types'
import ChoiceField from '../../kit/ChoiceField.vue'
import LookSwatch from '../../kit/LookSwatch.vue'
import NumberField from '../../kit/NumberField.vue'
import WorkedFigure from '../../kit/WorkedFigure.vue'

const props = defineProps<{
  board: Board
  task: string
  looks: Record<string, { flavor: string; kind: string }>
  held: boolean
  disabled: boolean
}>()
const emit = defineEmits<{
  hold: [change: { minute?: number; person?: string; minutes?: number } | null]
  mark: [what: 'begun' | 'done' | 'late' | 'failed' | null]
}>()
const bars = computed(() => props.board.bars.filter((one) => one.task === props.task))
const laneOf = (key: string) => props.board.lanes.find((one) => one.key === key)
const people = computed(() => props.board.lanes.filter((one) => one.kind === 'person'))
const bar = computed(
  () => bars.value.find((one) => laneOf(one.lane)?.kind === 'person') ?? bars.value[0],
)
const byHand = computed(() => laneOf(bar.value?.lane ?? '')?.kind === 'person')
const where = computed(() =>
  bars.value.map((one) => laneOf(one.lane)).filter((one) => one && one.kind !== 'person'),
)
const minutes = computed(() => (bar.value ? bar.value.until_min - bar.value.since_min : 0))
</script>

<template>
  <section v-if="bar" class="card" aria-label="The task">
    <header>
      <LookSwatch :formula="looks[bar.formula]" :size="20" />
      <h3>{{ bar.title }}</h3>
    </header>
    <p>
      <strong>{{ bar.hours }}</strong>
      {{
        [byHand ? laneOf(bar.lane)?.title : '', ...where.map((one) => one?.title)]
          .filter(Boolean)
          .join(', ')
      }},
      <WorkedFigure v-if="bar.why" :working="bar.why" :text="bar.says" unit="" plain />
      <template v-else>{{ bar.says }}</template>.
      <template v-if="bar.latest">Not begun after {{ bar.latest }}.</template>
      <template v-else>Later, and what waits for it is late.</template>
    </p>
    <ol v-if="bar.steps.length" class="steps">
      <li v-for="one in bar.steps" :key="one">{{ one }}</li>
    </ol>
    <template v-if="!disabled">
      <div v-if="byHand && !bar.mark" class="fields">
        <label>
          <span class="eyebrow">by</span>
          <ChoiceField
            :value="bar.lane"
            :options="people.map((one) => ({ value: one.key, label: one.title }))"
            @change="(who) => emit('hold', { person: String(who) })"
          />
        </label>
        <NumberField
          label="Takes"
          unit="min"
          :value="minutes"
          @commit="(v) => v !== null && emit('hold', { minutes: v })"
        />
      </div>
      <div class="deeds">
        <template v-if="!bar.mark">
          <button v-if="held" type="button" class="deed small" @click="emit('hold', null)">
            Let go
          </button>
          <button v-else type="button" class="deed small" @click="emit('hold', {})">
            Hold it here
          </button>
          <button type="button" class="deed small" @click="emit('mark', 'begun')">Begun</button>
        </template>
        <button
          v-if="bar.mark !== 'done'"
          type="button"
          class="deed small"
          @click="emit('mark', 'done')"
        >
          Done
        </button>
        <button
          v-if="!bar.mark || bar.mark === 'begun'"
          type="button"
          class="deed small"
          @click="emit('mark', 'late')"
        >
          15 min late
        </button>
        <button
          v-if="bar.mark !== 'failed'"
          type="button"
          class="deed small"
          @click="emit('mark', 'failed')"
        >
          Failed
        </button>
        <button v-if="bar.mark" type="button" class="deed small" @click="emit('mark', null)">
          Not {{ bar.mark }}
        </button>
      </div>
    </template>
  </section>
</template>

<style scoped>
.card {
  border-left: 3px solid var(--bronze);
  display: grid;
  gap: 8px;
  margin: 12px 0;
  padding-left: 12px;
}

header {
  align-items: center;
  display: flex;
  gap: 8px;
}

h3 {
  margin: 0;
}

.steps {
  color: var(--muted);
  font-size: 13.5px;
  margin: 0;
  padding-left: 18px;
}

.fields {
  display: grid;
  gap: 8px;
  grid-template-columns: 1fr 110px;
}

.fields label {
  display: grid;
  gap: 3px;
}

.deeds {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
}
</style>
