<script setup lang="ts">
/** The plan, drawn: hands left, equipment right, time down to the service. */
import { computed, nextTick, ref, watch } from 'vue'

import type { Board, Clash } from '../../api/types'
import { useSize } from '../../kit/useSize'
import { byLane, heightOf, layOut, minuteAt, wallAt, yOf, ZOOMS } from './axis'
import BoardHours from './BoardHours.vue'
import BoardWhole from './BoardWhole.vue'
import TaskBar from './TaskBar.vue'
import { GAP_PX, GUTTER_PX, isPerson, useLanes } from './useLanes'
import { useMoving } from './useMoving'

type WorkBar = Board['bars'][number]

const props = defineProps<{
  board: Board
  looks: Record<string, { flavor: string; kind: string }>
  now: number | null
  picked: string | null
  moved: readonly string[]
  /** Where what is drawn breaks what is asked. */
  clashes?: readonly Clash[]
  disabled: boolean
}>()
const emit = defineEmits<{
  pick: [task: string]
  move: [task: string, minute: number, person: string | null]
}>()

const scroller = ref<HTMLElement | null>(null)
const zoom = ref(2)
const laid = computed(() => layOut(props.board.stretches, ZOOMS[zoom.value] ?? ZOOMS[1]))
const height = computed(() => heightOf(laid.value))
const y = (minute: number) => yOf(laid.value, minute)
const size = useSize(scroller)
const lanes = useLanes(
  () => props.board.lanes,
  () => size.width,
)
const barsOf = computed(() => byLane(props.board.bars))
const staysOf = computed(() => byLane(props.board.stays))
const clashesOf = computed(() => byLane(props.clashes ?? []))
const othersOf = computed(() => byLane(props.board.others))

function place(one: { since_min: number; until_min: number; track: number }, tracks: number) {
  const top = y(one.since_min)
  return {
    top: `${top}px`,
    height: `${Math.max(5, y(one.until_min) - top - 1)}px`,
    left: `${(one.track / tracks) * 100}%`,
    width: `calc(${100 / tracks}% - 2px)`,
  }
}
const moving = useMoving({
  board: () => props.board,
  disabled: () => props.disabled,
  below: (bar, px) => minuteAt(laid.value, y(bar.since_min) + px),
  move: (task, minute, person) => emit('move', task, minute, person),
})
const ghost = moving.ghost
const take = (bar: WorkBar, event: PointerEvent) => {
  emit('pick', bar.task)
  moving.take(bar, event)
}

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
            gridTemplateColumns: `${GUTTER_PX - GAP_PX}px ${lanes.columns.value}`,
            width: `${lanes.whole.value}px`,
          }"
        >
          <span />
          <span v-for="one in board.lanes" :key="one.key" class="lane-head" :title="one.title">
            <strong>{{ one.title }}</strong>
            <small>{{ one.says }}</small>
          </span>
        </div>
        <div class="body" :style="{ height: `${height}px`, width: `${lanes.whole.value}px` }">
          <BoardHours :board="board" :laid="laid" :now="now" :wide="lanes.people.value" />
          <div
            class="lanes"
            :style="{ gridTemplateColumns: lanes.columns.value, marginLeft: `${GUTTER_PX}px` }"
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
              <div
                v-for="(one, at) in othersOf.get(lane.key) ?? []"
                :key="at"
                class="other"
                :style="place(one, lane.tracks)"
                :title="`${one.order}: ${one.title}, ${one.hours}`"
                role="listitem"
              >
                <span v-if="isPerson(lane) && y(one.until_min) - y(one.since_min) > 14">
                  {{ one.order }}
                </span>
              </div>
              <div v-for="one in barsOf.get(lane.key) ?? []" :key="one.task" role="listitem">
                <TaskBar
                  :bar="one"
                  :look="looks[one.formula]"
                  :tall="y(one.until_min) - y(one.since_min)"
                  :titled="isPerson(lane)"
                  :picked="picked === one.task"
                  :moved="moved.includes(one.task)"
                  :style="place(one, lane.tracks)"
                  @pointerdown="take(one, $event)"
                  @pointermove="moving.pull"
                  @pointerup="moving.drop"
                  @pointercancel="moving.cancel"
                  @click="emit('pick', one.task)"
                  @keydown="moving.key(one, $event)"
                />
              </div>
              <div
                v-for="(one, at) in clashesOf.get(lane.key) ?? []"
                :key="`clash ${at}`"
                class="clash"
                :style="place({ ...one, track: 0 }, 1)"
                :title="one.says"
                role="listitem"
              >
                <span>{{ one.says }}</span>
              </div>
              <div v-if="ghost?.lane === lane.key" class="ghost" :style="place(ghost, 1)">
                {{ wallAt(board.ticks, ghost.since_min) }}
              </div>
            </div>
          </div>
        </div>
        <footer class="floor" :style="{ minWidth: `${lanes.whole.value}px` }">
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
  font-size: 12px;
  max-height: 3.6em;
  overflow: hidden;
}

.lane-head small {
  color: var(--muted);
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}

.body {
  margin-top: 10px;
  position: relative;
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

.stay,
.other,
.clash,
.ghost {
  border-radius: 4px;
  box-sizing: border-box;
  overflow: hidden;
  position: absolute;
  text-align: left;
}

.stay {
  border: 1px solid var(--leaf-strong);
  color: var(--ink);
  font-size: 12px;
  line-height: 1.1;
  padding: 1px 3px;
}

.stay.picked {
  outline: 2px solid var(--bronze);
  z-index: 3;
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

/* Of another order: it is there, and not for this board to move. */
.other {
  background: var(--rule);
  border: 1px dashed var(--muted);
  color: var(--muted);
  font-size: 12px;
  line-height: 1.05;
  padding: 0 4px;
}

.other span {
  display: block;
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}

.clash {
  background: repeating-linear-gradient(45deg, transparent 0 5px, rgb(142 47 27 / 40%) 5px 7px);
  border: 2px solid var(--brick);
  z-index: 2;
}

.clash span {
  background: var(--paper);
  color: var(--brick);
  display: inline-block;
  font-size: 12px;
  font-weight: 700;
  line-height: 1.05;
  padding: 0 3px;
}

.ghost {
  background: rgb(181 121 43 / 25%);
  border: 2px dashed var(--bronze);
  font-size: 13px;
  font-weight: 700;
  pointer-events: none;
  z-index: 5;
}

.floor {
  align-items: center;
  background: var(--bronze-text);
  border-radius: 6px;
  bottom: 0;
  box-sizing: border-box;
  color: var(--paper);
  display: flex;
  gap: 16px;
  justify-content: flex-start;
  padding: 5px 12px;
  position: sticky;
  z-index: 4;
}
</style>
