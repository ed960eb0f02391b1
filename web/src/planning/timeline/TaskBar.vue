<script setup lang="ts">
/** A task in a lane, in the color of what it makes. */
import { computed } from 'vue'

import type { Board } from '../../api/types'
import { lookOf } from '../../kit/flavors'
import { inkOn } from './axis'

const props = defineProps<{
  bar: Board['bars'][number]
  look: { flavor: string; kind: string } | undefined
  /** How tall it is drawn [px]. */
  tall: number
  /** Whether its title has room: in the lane of a person. */
  titled: boolean
  picked: boolean
  moved: boolean
}>()
const LETTERS_PX = 12.6
const lines = computed(() => Math.floor((props.tall - 1) / LETTERS_PX))
const paint = computed(() => {
  const { color } = lookOf(props.look)
  return { background: color, color: inkOn(color) }
})
const heard = computed(() => {
  const { title, hours, says, held, mark } = props.bar
  return [title, hours, says, held ? 'held by hand' : '', mark ?? ''].filter(Boolean).join(', ')
})
</script>

<template>
  <button
    type="button"
    :class="['bar', bar.mark, { picked, held: bar.held, moved }]"
    :style="paint"
    :data-bar="`${bar.lane} ${bar.task}`"
    :title="heard"
    :aria-label="heard"
    :aria-pressed="picked"
  >
    <span v-if="titled && lines" :style="{ maxHeight: `${lines * LETTERS_PX}px` }">
      {{ bar.title }}
    </span>
  </button>
</template>

<style scoped>
.bar {
  border: 1px solid rgb(0 0 0 / 18%);
  border-radius: 4px;
  box-sizing: border-box;
  cursor: grab;
  font-size: 12px;
  font-weight: 600;
  line-height: 12.6px;
  overflow: hidden;
  padding: 0 4px;
  position: absolute;
  text-align: left;
  touch-action: none;
}

.bar span {
  display: block;
  overflow: hidden;
}

.bar.picked {
  outline: 2px solid var(--bronze);
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
</style>
