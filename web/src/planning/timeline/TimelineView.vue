<script setup lang="ts">
/** The plan in the middle: the board or its lists, and how it is being made. */
import { computed, ref, watch } from 'vue'

import type { Timeline } from '../../api/types'
import SwitchRow from '../../kit/SwitchRow.vue'
import TimeBoard from './TimeBoard.vue'
import TimeLists, { type ListView } from './TimeLists.vue'

const props = defineProps<{
  timeline: Timeline | null | undefined
  busy: boolean
  asking: boolean
  refused: string
  picked: string | null
  disabled: boolean
}>()
const emit = defineEmits<{
  ask: []
  stop: []
  pick: [task: string]
  move: [task: string, minute: number, person: string | null]
}>()
type Shown = 'board' | ListView
const VIEWS: { value: Shown; label: string }[] = [
  { value: 'board', label: 'The board' },
  { value: 'people', label: 'By person' },
  { value: 'pull', label: 'To pull' },
  { value: 'stations', label: 'Ovens and stores' },
  { value: 'told', label: 'Read aloud' },
]
const view = ref<Shown>('board')
const result = computed(() => props.timeline?.result ?? null)
/** Where nothing fits: the plan as it would be without one demand, or the plan before. */
const conflict = computed(() => result.value?.conflict ?? null)
const asBefore = ref(false)
const asIf = computed(() => (asBefore.value && result.value?.board ? null : conflict.value?.board))
watch(conflict, () => (asBefore.value = false))
const DRAWN = [
  { value: 'as if', label: 'Where it clashes' },
  { value: 'before', label: 'The plan before' },
] as const
const stale = computed(() => props.timeline && !props.timeline.fresh && !props.busy)
</script>

<template>
  <div class="timeline">
    <div class="tools no-print">
      <SwitchRow
        v-if="result?.board"
        label="How the plan is shown"
        :value="view"
        :choices="VIEWS"
        @change="(now) => (view = now)"
      />
      <span class="state" role="status">
        <template v-if="busy">
          <span class="spin" aria-hidden="true" />
          <template v-if="timeline?.state === 'queued'">waiting for its turn</template>
          <template v-else-if="!timeline?.progress">planning</template>
          <template v-else-if="timeline.progress.answers">
            planning {{ timeline.progress.says }}, answer {{ timeline.progress.answers }}
          </template>
          <template v-else>{{ timeline.progress.says }}</template>
          <button v-if="!disabled" type="button" class="deed small" @click="emit('stop')">
            Stop
          </button>
        </template>
        <template v-else>
          <span v-if="stale" class="quiet">changed since it was planned</span>
          <span v-else-if="timeline?.state === 'stopped'" class="quiet">stopped</span>
          <button
            v-if="!disabled"
            type="button"
            :class="['deed', { main: !result || stale }]"
            :disabled="asking"
            @click="emit('ask')"
          >
            {{ result ? 'Plan again' : 'Plan it' }}
          </button>
        </template>
      </span>
    </div>
    <p v-if="refused" class="wrong" role="alert">{{ refused }}</p>
    <p v-if="result?.refused" class="wrong" role="alert">{{ result.refused }}</p>
    <slot />
    <div v-if="conflict && (conflict.board || result?.board)" class="tools">
      <span class="quiet">
        <template v-if="asIf">
          Drawn as if this were not asked: {{ conflict.left_out
          }}{{ conflict.clashes?.length ? '. Red is where that is broken.' : '.' }}
        </template>
        <template v-else>The plan before.</template>
      </span>
      <SwitchRow
        v-if="conflict.board && result?.board"
        label="What is drawn"
        :value="asIf ? 'as if' : 'before'"
        :choices="[...DRAWN]"
        @change="(now) => (asBefore = now === 'before')"
      />
    </div>
    <TimeBoard
      v-if="asIf && (view === 'board' || !result?.board)"
      :board="asIf"
      :looks="result?.looks ?? {}"
      :now="timeline?.now_min ?? null"
      :picked="null"
      :moved="[]"
      :clashes="conflict?.clashes ?? []"
      disabled
    />
    <template v-else-if="result?.board">
      <TimeBoard
        v-if="view === 'board'"
        :board="result.board"
        :looks="result.looks"
        :now="timeline?.now_min ?? null"
        :picked="picked"
        :moved="result.moved.map((one) => one.task)"
        :disabled="disabled"
        @pick="(task) => emit('pick', task)"
        @move="(task, minute, person) => emit('move', task, minute, person)"
      >
        <slot name="tools" />
      </TimeBoard>
      <TimeLists
        v-else
        :board="result.board"
        :told="result.told"
        :view="view"
        @pick="(task) => emit('pick', task)"
      />
    </template>
    <p v-else-if="!busy && !result" class="quiet">
      Say on the right when it is served; then it is planned backwards from there.
    </p>
  </div>
</template>

<style scoped>
.timeline {
  display: grid;
  gap: 8px;
}

.tools {
  align-items: center;
  display: flex;
  flex-wrap: wrap;
  gap: 8px 14px;
  justify-content: space-between;
}

.state {
  align-items: center;
  display: inline-flex;
  font-size: 14px;
  gap: 8px;
  margin-left: auto;
  min-height: 34px;
}

.spin {
  animation: turn 1s linear infinite;
  border: 2px solid var(--leaf-strong);
  border-radius: 50%;
  border-top-color: var(--fern);
  height: 14px;
  width: 14px;
}

@keyframes turn {
  to {
    transform: rotate(1turn);
  }
}

@media (prefers-reduced-motion: reduce) {
  .spin {
    animation: none;
  }
}
</style>
