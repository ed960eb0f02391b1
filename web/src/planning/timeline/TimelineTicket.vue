<script setup lang="ts">
/** How the plan stands: what it reaches, what moved, what is out and borrowed. */
import { computed } from 'vue'

import type { Timeline, Timing } from '../../api/types'
import FoldCard from '../../kit/FoldCard.vue'
import WorkedFigure from '../../kit/WorkedFigure.vue'

const props = defineProps<{
  timeline: Timeline | null | undefined
  timing: Timing
  busy: boolean
  disabled: boolean
}>()
const emit = defineEmits<{ change: [changed: Partial<Timing>]; pick: [task: string] }>()
const result = computed(() => props.timeline?.result ?? null)
const proven = computed(() => {
  const gaps = (result.value?.reached ?? []).filter((one) => one.aim).map((one) => one.gap)
  return gaps.length ? Math.max(...gaps) : null
})
const percent = (gap: number) => (gap ? `${(gap * 100).toFixed(1)} %` : 'best there is')
const out = computed(() => props.timing.out ?? [])
const turn = (station: string) =>
  emit('change', {
    out: out.value.includes(station)
      ? out.value.filter((one) => one !== station)
      : [...out.value, station],
  })
const borrowed = computed(() => props.timing.borrowed ?? [])
const HOURS = [
  { key: 'hours_earlier', says: 'earlier' },
  { key: 'hours_later', says: 'longer' },
] as const
const hours = computed(() => HOURS.filter((one) => props.timing[one.key]))
const giveBack = (at: number) =>
  emit('change', { borrowed: borrowed.value.filter((_, place) => place !== at) })
const LENT: Record<string, string> = {
  hands: 'one more cook',
  molds: 'twice as many molds',
  blast: 'another blast freezer',
}
</script>

<template>
  <section class="slip" aria-label="The plan">
    <h2 v-if="result?.conflict">It does not fit</h2>
    <template v-else-if="result?.board">
      <h2>{{ busy ? 'It fits; looking for better' : 'It fits' }}</h2>
      <dl class="takes">
        <div>
          <dt>First hands</dt>
          <dd>{{ result.board.first }}</dd>
        </div>
        <div>
          <dt>Hands in all</dt>
          <dd>
            <WorkedFigure :working="result.board.hands_why" :text="result.board.hands" unit="" />
          </dd>
        </div>
        <div>
          <dt>Last hour</dt>
          <dd>{{ result.board.last_hour }} of hands</dd>
        </div>
        <div v-if="proven !== null">
          <dt>Proved within</dt>
          <dd>{{ percent(proven) }}</dd>
        </div>
      </dl>
      <div v-if="result.board.tight.length" class="tight">
        <h3>Tight</h3>
        <ul>
          <li v-for="(one, at) in result.board.tight" :key="at">
            {{ one.says }}. <span class="quiet">{{ one.remedy }}</span>
          </li>
        </ul>
      </div>
      <FoldCard v-if="result.reached.length" title="What it reaches" name="plan.reached">
        <ol class="reached">
          <li v-for="(one, at) in result.reached" :key="at">
            {{ one.says }} <small class="quiet">{{ percent(one.gap) }}</small>
          </li>
        </ol>
      </FoldCard>
      <FoldCard
        v-if="result.moved.length"
        :title="`What moved: ${result.moved.length}`"
        name="plan.moved"
      >
        <ul class="moved">
          <li v-for="one in result.moved" :key="one.task">
            <button type="button" class="plain" @click="emit('pick', one.task)">
              {{ one.title }}
            </button>
            <small class="quiet">{{ one.says }}</small>
          </li>
        </ul>
      </FoldCard>
    </template>
    <slot />
    <FoldCard v-if="timeline?.stations.length" title="What is there" name="plan.there">
      <ul class="list there">
        <li v-for="one in timeline.stations" :key="one">
          <label>
            <input
              type="checkbox"
              :checked="!out.includes(one)"
              :disabled="disabled"
              @change="turn(one)"
            />
            {{ one }}
          </label>
          <span v-if="out.includes(one)" class="wrong">is out</span>
        </li>
      </ul>
    </FoldCard>
    <ul v-if="borrowed.length || hours.length" class="list lent" aria-label="For this order">
      <li v-for="(one, at) in borrowed" :key="at">
        {{ LENT[one] ?? `another ${one}` }}
        <button v-if="!disabled" type="button" class="deed small" @click="giveBack(at)">
          Give back
        </button>
      </li>
      <li v-for="one in hours" :key="one.key">
        everybody {{ timing[one.key] }} h {{ one.says }}
        <button
          v-if="!disabled"
          type="button"
          class="deed small"
          @click="emit('change', { [one.key]: 0 })"
        >
          As usual
        </button>
      </li>
    </ul>
  </section>
</template>

<style scoped>
.takes div {
  align-items: baseline;
  border-bottom: 1px solid var(--rule);
  display: flex;
  justify-content: space-between;
  padding: 5px 0;
}

.takes dd {
  font-size: 17px;
  font-weight: 700;
  margin: 0;
}

.tight {
  background: var(--amber-wash);
  border: 1px solid var(--amber-rule);
  border-radius: var(--round);
  font-size: 14px;
  margin: 10px 0;
  padding: 8px 12px;
}

.tight h3 {
  color: var(--amber);
  margin: 0 0 2px;
}

.tight ul {
  margin: 0;
  padding-left: 16px;
}

.reached,
.moved {
  font-size: 14px;
  margin: 4px 0;
  padding-left: 18px;
}

.plain {
  background: none;
  border: 0;
  color: inherit;
  cursor: pointer;
  font: inherit;
  min-height: 24px;
  padding: 0;
  text-align: left;
  text-decoration: underline;
  text-underline-offset: 2px;
}

.there li {
  align-items: center;
  display: flex;
  gap: 8px;
}

.there label {
  align-items: center;
  display: flex;
  font-size: 14px;
  gap: 7px;
  min-height: 28px;
}

.lent li {
  align-items: center;
  background: var(--bronze-wash);
  border-radius: var(--round);
  display: flex;
  justify-content: space-between;
  margin-top: 6px;
  padding: 4px 10px;
}

@media (pointer: coarse) {
  .plain,
  .there label {
    min-height: 40px;
  }
}
</style>
