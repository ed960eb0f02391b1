<script setup lang="ts">
/** The plan, drawn: hands left, equipment right, time down to the service. */
import { computed, nextTick, ref, watch } from 'vue'

import type { Board } from '../../api/types'
import { lookOf } from '../../kit/flavors'
import { useSize } from '../../kit/useSize'
import { byLane, FOLDED_PX, heightOf, inkOn, layOut, minuteAt, wallAt, yOf, ZOOMS } from './axis'
import BoardWhole from './BoardWhole.vue'

type WorkBar = Board['bars'][number]

const props = defineProps<{
  board: Board
  looks: Record<string, { flavor: string; kind: string }>
  now: number | null
  picked: string | null
  moved: readonly string[]
  disabled: boolean
}>()
const emit = defineEmits<{
  pick: [task: string]
  move: [task: string, minute: number, person: string | null]
}>()

const GUTTER_PX = 52
const GAP_PX = 3
const PERSON_PX = 90
const STATION_PX = 40
const TRACK_PX = 15
const WIDEST_PX = 84
const LETTERS_PX = 12.6

const scroller = ref<HTMLElement | null>(null)
const zoom = ref(2)
const laid = computed(() => layOut(props.board.stretches, ZOOMS[zoom.value] ?? ZOOMS[1]))
const height = computed(() => heightOf(laid.value))
const y = (minute: number) => yOf(laid.value, minute)
const isPerson = (lane: { kind: string }) => lane.kind === 'person'
/** Room for each lane: people share what is left beside the equipment. */
const size = useSize(scroller)
const sizes = computed(() => {
  const own = props.board.lanes.map((one) =>
    isPerson(one) ? PERSON_PX : Math.max(STATION_PX, Math.min(WIDEST_PX, TRACK_PX * one.tracks)),
  )
  const people = props.board.lanes.filter(isPerson).length
  const left = size.width - GUTTER_PX - own.reduce((sum, one) => sum + one + GAP_PX, 0)
  const more = people && left > 0 ? left / people : 0
  return own.map((one, at) => (isPerson(props.board.lanes[at] ?? { kind: '' }) ? one + more : one))
})
const columns = computed(() => sizes.value.map((one) => `${one}px`).join(' '))
const peopleWide = computed(() =>
  sizes.value
    .filter((_, at) => props.board.lanes[at]?.kind === 'person')
    .reduce((sum, one) => sum + one + GAP_PX, 0),
)
const whole = computed(
  () => GUTTER_PX + sizes.value.reduce((sum, one) => sum + one + GAP_PX, 0) - GAP_PX,
)
const colorOf = (formula: string) => lookOf(props.looks[formula]).color
const barsOf = computed(() => byLane(props.board.bars))
const staysOf = computed(() => byLane(props.board.stays))

function place(one: { since_min: number; until_min: number; track: number }, tracks: number) {
  const top = y(one.since_min)
  return {
    top: `${top}px`,
    height: `${Math.max(5, y(one.until_min) - top - 1)}px`,
    left: `${(one.track / tracks) * 100}%`,
    width: `calc(${100 / tracks}% - 2px)`,
  }
}
/** How many lines of letters a bar has room for. */
const lines = (one: WorkBar) => Math.floor((y(one.until_min) - y(one.since_min) - 1) / LETTERS_PX)
const paint = (one: WorkBar) => {
  const color = colorOf(one.formula)
  return { background: color, color: inkOn(color) }
}
const heard = (one: WorkBar) =>
  [one.title, one.hours, one.says, one.held ? 'held by hand' : '', one.mark ?? '']
    .filter(Boolean)
    .join(', ')

/** Moving by the pointer: what is under way, and where it would come to lie. */
const drag = ref<{ bar: WorkBar; from: number; minute: number; lane: string; on: boolean }>()

function take(bar: WorkBar, event: PointerEvent) {
  emit('pick', bar.task)
  const lane = props.board.lanes.find((one) => one.key === bar.lane)
  if (props.disabled || !lane || !isPerson(lane) || event.button !== 0 || bar.mark) return
  drag.value = { bar, from: event.clientY, minute: bar.since_min, lane: bar.lane, on: false }
  ;(event.currentTarget as HTMLElement).setPointerCapture(event.pointerId)
}
function pull(event: PointerEvent) {
  const now = drag.value
  if (!now) return
  const by = event.clientY - now.from
  if (!now.on && Math.abs(by) < 5) return
  const over = document
    .elementsFromPoint(event.clientX, event.clientY)
    .find((one) => one instanceof HTMLElement && one.dataset.person) as HTMLElement | undefined
  drag.value = {
    ...now,
    on: true,
    minute: minuteAt(laid.value, y(now.bar.since_min) + by),
    lane: over?.dataset.person ?? now.lane,
  }
}
function drop() {
  const now = drag.value
  drag.value = undefined
  if (!now?.on) return
  if (now.minute !== now.bar.since_min || now.lane !== now.bar.lane)
    emit('move', now.bar.task, now.minute, now.lane === now.bar.lane ? null : now.lane)
}

/** By keys: Alt with an arrow moves it, an arrow alone goes to the next one. */
function key(bar: WorkBar, event: KeyboardEvent) {
  const row = barsOf.value.get(bar.lane) ?? []
  const sorted = [...row].sort((a, b) => a.since_min - b.since_min)
  const people = props.board.lanes.filter(isPerson)
  const at = people.findIndex((one) => one.key === bar.lane)
  const step = event.shiftKey ? 30 : 5
  const moves: Record<string, () => void> = {
    ArrowUp: () => emit('move', bar.task, bar.since_min - step, null),
    ArrowDown: () => emit('move', bar.task, bar.since_min + step, null),
    ArrowLeft: () =>
      people[at - 1] && emit('move', bar.task, bar.since_min, people[at - 1]?.key ?? null),
    ArrowRight: () =>
      people[at + 1] && emit('move', bar.task, bar.since_min, people[at + 1]?.key ?? null),
  }
  if (event.altKey && moves[event.key]) {
    event.preventDefault()
    if (!props.disabled && at >= 0) moves[event.key]?.()
    return
  }
  const next = { ArrowUp: -1, ArrowDown: 1 }[event.key]
  if (!next || event.altKey) return
  event.preventDefault()
  const other = sorted[sorted.indexOf(bar) + next]
  if (other) focus(other)
}
const focus = (bar: WorkBar) =>
  document.querySelector<HTMLElement>(`[data-bar="${bar.lane} ${bar.task}"]`)?.focus()

/** The part of it that is on the screen, for the small whole at the side. */
const seen = ref({ top: 0, share: 1 })
function look() {
  const own = scroller.value
  if (own)
    seen.value = {
      top: own.scrollTop / own.scrollHeight,
      share: own.clientHeight / own.scrollHeight,
    }
}
async function change(by: number) {
  const own = scroller.value
  const middle = own ? minuteAt(laid.value, own.scrollTop + own.clientHeight / 2) : 0
  zoom.value = Math.min(ZOOMS.length - 1, Math.max(0, zoom.value + by))
  await nextTick()
  if (own) own.scrollTop = y(middle) - own.clientHeight / 2
  look()
}
watch(height, () => void nextTick(look), { immediate: true })
const goTo = (share: number) => {
  const own = scroller.value
  if (own) own.scrollTop = share * own.scrollHeight - own.clientHeight / 2
}
const ghost = computed(() => {
  const now = drag.value
  if (!now?.on) return undefined
  const long = now.bar.until_min - now.bar.since_min
  return { lane: now.lane, since_min: now.minute, until_min: now.minute + long, track: 0 }
})
</script>

<template>
  <div class="timeboard">
    <div class="tools no-print">
      <slot><span class="quiet">time runs down, service is the floor</span></slot>
      <span class="zooms">
        <button type="button" class="deed small" :disabled="zoom === 0" @click="change(-1)">
          Wider
        </button>
        <button
          type="button"
          class="deed small"
          :disabled="zoom === ZOOMS.length - 1"
          @click="change(1)"
        >
          Closer
        </button>
      </span>
    </div>
    <div class="side-by-side">
      <div
        ref="scroller"
        class="scroller"
        tabindex="0"
        aria-label="The board"
        @scroll.passive="look"
      >
        <div
          class="head"
          :style="{
            gridTemplateColumns: `${GUTTER_PX - GAP_PX}px ${columns}`,
            width: `${whole}px`,
          }"
        >
          <span />
          <span v-for="one in board.lanes" :key="one.key" class="lane-head" :title="one.title">
            <strong>{{ one.title }}</strong>
            <small>{{ one.says }}</small>
          </span>
        </div>
        <div class="body" :style="{ height: `${height}px`, width: `${whole}px` }">
          <div
            v-for="one in board.ticks"
            :key="one.at_min"
            class="tick"
            :style="{ top: `${y(one.at_min)}px` }"
          >
            <span
              ><b v-if="one.day">{{ one.day }}</b
              >{{ one.says }}</span
            >
          </div>
          <div
            v-for="one in laid.filter((x) => x.folded)"
            :key="one.since_min"
            class="night"
            :style="{ top: `${one.top}px`, height: `${FOLDED_PX}px` }"
          >
            <span :title="one.says" :style="{ maxWidth: `${peopleWide}px` }">{{ one.says }}</span>
          </div>
          <div
            class="lanes"
            :style="{ gridTemplateColumns: columns, marginLeft: `${GUTTER_PX}px` }"
          >
            <div
              v-for="lane in board.lanes"
              :key="lane.key"
              class="lane"
              :data-person="isPerson(lane) ? lane.key : undefined"
              role="list"
              :aria-label="lane.title"
            >
              <div
                v-for="one in staysOf.get(lane.key) ?? []"
                :key="one.key"
                :class="['stay', one.climate, { picked: picked === one.task }]"
                :style="place(one, lane.tracks)"
                :title="`${one.title}, ${one.says}, ${one.hours}`"
                role="listitem"
              >
                <span v-if="y(one.until_min) - y(one.since_min) > 16">{{ one.title }}</span>
              </div>
              <div v-for="one in barsOf.get(lane.key) ?? []" :key="one.task" role="listitem">
                <button
                  type="button"
                  :class="[
                    'bar',
                    one.mark,
                    {
                      picked: picked === one.task,
                      held: one.held,
                      moved: moved.includes(one.task),
                    },
                  ]"
                  :style="{ ...place(one, lane.tracks), ...paint(one) }"
                  :data-bar="`${lane.key} ${one.task}`"
                  :title="heard(one)"
                  :aria-label="heard(one)"
                  :aria-pressed="picked === one.task"
                  @pointerdown="take(one, $event)"
                  @pointermove="pull"
                  @pointerup="drop"
                  @pointercancel="drag = undefined"
                  @click="emit('pick', one.task)"
                  @keydown="key(one, $event)"
                >
                  <span
                    v-if="isPerson(lane) && lines(one)"
                    :style="{ maxHeight: `${lines(one) * LETTERS_PX}px` }"
                  >
                    {{ one.title }}
                  </span>
                </button>
              </div>
              <div v-if="ghost?.lane === lane.key" class="ghost" :style="place(ghost, 1)">
                {{ wallAt(board.ticks, ghost.since_min) }}
              </div>
            </div>
          </div>
          <div v-if="now !== null && y(now) > 0" class="now" :style="{ top: `${y(now)}px` }">
            <span>{{ wallAt(board.ticks, now) }}</span>
          </div>
        </div>
        <footer class="floor">
          <strong>{{ board.services[0]?.hour }} {{ board.services[0]?.title }}</strong>
          <span v-if="board.services.length > 1">
            then
            {{
              board.services
                .slice(1)
                .map((one) => one.hour)
                .join(', ')
            }}
          </span>
        </footer>
      </div>
      <BoardWhole :board="board" :looks="looks" :now="now" :seen="seen" @go="goTo" />
    </div>
  </div>
</template>

<style scoped>
.timeboard {
  display: grid;
  gap: 6px;
  grid-template-rows: auto minmax(0, 1fr);
  height: calc(100vh - var(--strip-height) - 126px);
  min-height: 380px;
}

.tools {
  align-items: center;
  display: flex;
  justify-content: space-between;
}

.zooms {
  display: flex;
  gap: 6px;
}

.side-by-side {
  display: grid;
  gap: 8px;
  grid-template-columns: minmax(0, 1fr) 44px;
  min-height: 0;
}

.scroller {
  overflow: auto;
  position: relative;
}

.head {
  background: var(--porcelain);
  display: grid;
  gap: 3px;
  position: sticky;
  top: 0;
  z-index: 4;
}

.lane-head {
  align-content: end;
  border-bottom: 2px solid var(--rule);
  display: grid;
  font-size: 12.5px;
  line-height: 1.2;
  overflow: hidden;
  padding-bottom: 3px;
}

.lane-head strong {
  max-height: 2.4em;
  overflow: hidden;
}

.lane-head small {
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}

.lane-head small {
  color: var(--muted);
}

.body {
  margin-top: 10px;
  position: relative;
}

.tick {
  border-top: 1px solid var(--rule);
  font-size: 12.5px;
  height: 0;
  left: 0;
  position: absolute;
  right: 0;
}

.tick span {
  background: var(--porcelain);
  color: var(--muted);
  display: block;
  position: absolute;
  text-align: right;
  top: -9px;
  white-space: nowrap;
  width: 46px;
}

.tick b {
  display: block;
  line-height: 1;
}

.night {
  align-items: center;
  background: var(--leaf);
  display: flex;
  font-size: 13px;
  left: 0;
  padding-left: 54px;
  position: absolute;
  right: 0;
}

.night span {
  -webkit-box-orient: vertical;
  display: -webkit-box;
  -webkit-line-clamp: 2;
  line-height: 1.15;
  overflow: hidden;
}

.lanes {
  display: grid;
  gap: 3px;
  height: 100%;
  position: relative;
}

.lane {
  position: relative;
}

.bar,
.stay,
.ghost {
  border-radius: 4px;
  box-sizing: border-box;
  overflow: hidden;
  position: absolute;
  text-align: left;
}

.bar {
  border: 1px solid rgb(0 0 0 / 18%);
  cursor: grab;
  font-size: 12px;
  font-weight: 600;
  line-height: 12.6px;
  padding: 0 4px;
  touch-action: none;
}

.bar span {
  display: block;
  overflow: hidden;
}

.bar.picked,
.stay.picked {
  outline: 2px solid var(--bronze);
  outline-offset: 0;
  z-index: 3;
}

.bar.held {
  border: 2px solid var(--ink);
}

.bar.moved {
  box-shadow: 0 0 0 2px var(--frost);
}

.bar.done {
  filter: saturate(0.3);
  opacity: 0.55;
}

.bar.failed {
  opacity: 0.5;
  text-decoration: line-through;
}

.bar.begun {
  box-shadow: 0 0 0 2px var(--fern);
}

.stay {
  border: 1px solid var(--leaf-strong);
  color: var(--ink);
  font-size: 12px;
  line-height: 1.1;
  padding: 1px 3px;
}

.stay.frozen {
  background-color: #e3eff4;
  background-image: radial-gradient(var(--frost) 1px, transparent 1.4px);
  background-size: 9px 9px;
  border-color: var(--frost);
}

.stay.chilled,
.stay.room {
  background: repeating-linear-gradient(135deg, var(--porcelain-shade) 0 6px, var(--rule) 6px 7px);
}

.stay span {
  background: rgb(255 255 255 / 70%);
  display: block;
  max-height: 100%;
  overflow: hidden;
  white-space: nowrap;
  writing-mode: vertical-rl;
}

.ghost {
  background: rgb(181 121 43 / 25%);
  border: 2px dashed var(--bronze);
  font-size: 13px;
  font-weight: 700;
  pointer-events: none;
  z-index: 5;
}

.now {
  border-top: 2px solid var(--brick);
  left: 0;
  position: absolute;
  right: 0;
  z-index: 3;
  pointer-events: none;
}

.now span {
  background: var(--brick);
  border-radius: 4px;
  color: var(--paper);
  font-size: 12.5px;
  font-weight: 700;
  left: 2px;
  padding: 1px 5px;
  position: absolute;
  top: -10px;
}

.floor {
  align-items: center;
  background: var(--bronze-text);
  border-radius: 6px;
  bottom: 0;
  color: var(--paper);
  display: flex;
  gap: 16px;
  justify-content: space-between;
  padding: 5px 12px;
  position: sticky;
  z-index: 4;
}
</style>
