<script setup lang="ts">
/** Along the foot: the dessert at each stage, in building order, cold waits in frost. */
import { nextTick, onMounted, onUpdated, ref } from 'vue'

import type { Cut, Stage } from '../api/types'
import type { Look } from '../kit/flavors'
import { useEventListener } from '../kit/useEventListener'
import StageDrawing from './StageDrawing.vue'

const props = defineProps<{
  stages: Stage[]
  cut: Cut
  lookOf: (formula: string) => Look
  at: number | null
}>()
const emit = defineEmits<{ pick: [at: number | null] }>()
const list = ref<HTMLElement | null>(null)
/** How many stages lie beyond the right edge. */
const hidden = ref(0)
function look() {
  const box = list.value
  if (!box) return
  const edge = box.getBoundingClientRect().right
  hidden.value = [...box.children].filter(
    (one) => one.getBoundingClientRect().right > edge + 20,
  ).length
}
onMounted(look)
onUpdated(look)
useEventListener('resize', look)
const onward = () => list.value?.scrollBy({ left: 320, behavior: 'smooth' })

/** Arrow keys walk along the strip. */
function walk(to: number) {
  if (!props.stages[to]) return
  emit('pick', to)
  void nextTick(() => list.value?.querySelectorAll<HTMLElement>('button')[to]?.focus())
}
</script>

<template>
  <div class="whole">
    <ol ref="list" class="list strip" aria-label="Building, stage by stage" @scroll="look">
      <li v-for="(stage, i) in stages" :key="`${stage.code}/${i}`">
        <button
          type="button"
          :class="['stage', { cold: stage.cold, shown: i === at }]"
          :aria-pressed="i === at"
          :title="stage.title"
          @click="emit('pick', i === at ? null : i)"
          @keydown.left.prevent="walk(i - 1)"
          @keydown.right.prevent="walk(i + 1)"
          @keydown.esc="emit('pick', null)"
        >
          <StageDrawing :cut="cut" :stage="stage" :look-of="lookOf" />
          <strong>{{ i + 1 }} {{ stage.title }}</strong>
          <span v-if="stage.wait_says" :class="['wait', { cold: stage.cold }]">{{
            stage.wait_says
          }}</span>
        </button>
      </li>
    </ol>
    <button v-if="hidden" type="button" class="more no-print" @click="onward">
      {{ hidden }} more ›
    </button>
  </div>
</template>

<style scoped>
.whole {
  position: relative;
}

.more {
  background: linear-gradient(to right, transparent, var(--porcelain) 28px);
  border: 0;
  bottom: 0;
  color: var(--bronze-text);
  cursor: pointer;
  font-weight: 600;
  padding: 0 6px 0 40px;
  position: absolute;
  right: 0;
  top: 0;
}

.strip {
  display: flex;
  gap: 8px;
  overflow-x: auto;
  padding: 2px 2px 6px;
}

li {
  flex: 1 0 104px;
  max-width: 150px;
}

@media print {
  .strip {
    flex-wrap: wrap;
    overflow: visible;
  }

  li {
    flex: 0 0 30%;
  }
}

.stage {
  align-content: start;
  background: none;
  border: 0;
  border-radius: 0 0 var(--round) var(--round);
  border-top: 2px solid var(--leaf-strong);
  cursor: pointer;
  display: grid;
  gap: 3px;
  height: 100%;
  padding: 7px 4px 5px;
  text-align: left;
  width: 100%;
}

.stage.cold {
  border-top-color: var(--frost);
}

.stage.shown {
  background: var(--bronze-wash);
  border-top-color: var(--bronze);
}

.stage:hover {
  background: var(--porcelain-shade);
}

.stage.shown:hover {
  background: var(--bronze-wash);
}

strong {
  -webkit-box-orient: vertical;
  display: -webkit-box;
  font-size: 13px;
  -webkit-line-clamp: 2;
  line-height: 1.2;
  overflow: hidden;
  overflow-wrap: anywhere;
}

.wait {
  color: var(--muted);
  font-size: 12.5px;
}

.wait.cold {
  color: var(--frost-text);
}
</style>
