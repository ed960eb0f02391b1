<script setup lang="ts">
/** Behind the lanes: the hours, the nights that are folded, and where the present lies. */
import type { Board } from '../../api/types'
import { FOLDED_PX, type Laid, wallAt, yOf } from './axis'

const props = defineProps<{
  board: Board
  laid: Laid[]
  now: number | null
  /** How wide what is said of a night may be [px]. */
  wide: number
}>()
const y = (minute: number) => yOf(props.laid, minute)
</script>

<template>
  <div class="hours">
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
      <span :title="one.says" :style="{ maxWidth: `${wide}px` }">{{ one.says }}</span>
    </div>
    <div v-if="now !== null && y(now) > 0" class="now" :style="{ top: `${y(now)}px` }">
      <span>{{ wallAt(board.ticks, now) }}</span>
    </div>
  </div>
</template>

<style scoped>
.hours {
  inset: 0;
  position: absolute;
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
  left: 0;
  position: sticky;
  text-align: right;
  transform: translateY(-9px);
  white-space: nowrap;
  width: 46px;
  z-index: 1;
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
</style>
