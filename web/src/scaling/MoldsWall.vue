<script setup lang="ts">
/** The dessert in all the kitchen's molds: a wall of cuts, all at one scale. */
import { computed, ref, watch } from 'vue'

import { house } from '../api/house'
import type { Problem } from '../api/client'
import type { Keep } from '../api/types'
import ChoiceField from '../kit/ChoiceField.vue'
import EmptyState from '../kit/EmptyState.vue'
import NumberField from '../kit/NumberField.vue'
import { useSize } from '../kit/useSize'
import ZoneFrame from '../kit/ZoneFrame.vue'
import MoldCard from './MoldCard.vue'
import MoldTicket from './MoldTicket.vue'
import ScaleShelf from './ScaleShelf.vue'
import { useLooks, useWall } from './useScaling'

const HANDY_PX = 150

const props = defineProps<{ id: string }>()
const keep = ref<Keep>('heights')
const { dessert, look } = useLooks(() => props.id)
/** What there is of one of its formulas: how many does it fill? */
const left = ref<number | null>(null)
const leftOf = ref('')
const made = computed(() => dessert.value?.made_of ?? [])
const of = computed(() => made.value.find((one) => one.id === leftOf.value) ?? made.value[0])
const wall = useWall(
  () => props.id,
  () => keep.value,
  () => (left.value && of.value ? { of: of.value.id, have_g: left.value } : undefined),
)
const chosen = ref<string>()
watch(
  () => props.id,
  () => (chosen.value = undefined),
)
/** What one looks at: the mold that is chosen, else the one next to its own. */
const shown = computed(() => {
  const molds = wall.molds.value
  return molds.find((one) => one.mold === chosen.value) ?? molds.find((one) => !one.own) ?? molds[0]
})
const own = computed(() => wall.molds.value.find((one) => one.own))
/** One scale for all: its own cut as wide as is handy, the widest within the board. */
const board = ref<HTMLElement | null>(null)
const room = useSize(board)
const scale = computed(() => {
  const wide = wall.molds.value.map((one) => one.cut?.width_mm ?? 0)
  const handy = HANDY_PX / (own.value?.cut?.width_mm ?? 200)
  return Math.min(handy, Math.max(200, room.width - 30) / Math.max(1, ...wide))
})
const parts = computed(() => own.value?.parts ?? [])
const lookOfPart = (part: string, layer: string | null) => {
  const row = dessert.value?.parts.find((one) => one.key === part)
  if (!row) return look('')
  if ('layers' in row) return look(row.layers.find((one) => one.key === layer)?.formula ?? '')
  return look('formula' in row ? row.formula : '')
}
</script>

<template>
  <ZoneFrame :shown="chosen" shelf="How" board="In other molds" ticket="One mold">
    <template #shelf>
      <ScaleShelf :id="id" :name="dessert?.name" title="In other molds" here="molds">
        <div class="keeps" role="radiogroup" aria-label="What is kept">
          <button
            v-for="one in house.scaling.keeps"
            :key="one.keep"
            type="button"
            role="radio"
            :aria-checked="one.keep === keep"
            :class="['keep', { taken: one.keep === keep }]"
            @click="keep = one.keep"
          >
            <strong>{{ one.title }}</strong>
            <span>{{ one.text }}</span>
          </button>
        </div>
        <section v-if="made.length" class="left" aria-label="From what there is">
          <h3>From what there is</h3>
          <NumberField
            label="There is"
            unit="g"
            optional
            placeholder="none"
            :step="100"
            :value="left"
            :error="(wall.error.value as Problem | null)?.at('have_g')"
            @commit="(v) => (left = v)"
          />
          <label>
            <span class="unseen">Of which formula</span>
            <ChoiceField
              class="of"
              :value="of?.id ?? ''"
              :options="made.map((one) => ({ value: one.id, label: one.name }))"
              @change="(v) => (leftOf = String(v))"
            />
          </label>
        </section>
        <section v-if="parts.length" aria-label="What each part goes by">
          <h3>Each part by its rule</h3>
          <ul class="list rules">
            <li v-for="one in parts" :key="`${one.part}/${one.layer}`">
              <i
                :style="{ background: lookOfPart(one.part, one.layer).color }"
                aria-hidden="true"
              />
              <span>{{ one.name }}</span>
              <em>{{ one.goes_by }}</em>
            </li>
          </ul>
        </section>
      </ScaleShelf>
    </template>
    <header class="over">
      <h2>{{ dessert?.name }}</h2>
      <p class="quiet">
        all at one scale, those most like its own first; a figure above 1 holds more than its own
      </p>
    </header>
    <p v-if="wall.error.value" class="wrong" role="alert">{{ wall.error.value.message }}</p>
    <p v-else-if="!wall.molds.value.length && wall.waiting.value" class="quiet" role="status">
      Drawing it in every mold …
    </p>
    <EmptyState
      v-else-if="!wall.molds.value.length"
      title="No mold on your shelf"
      text="Hang a ring, a tray or a tin in the room of the molds: the dessert is shown in each."
    />
    <ol ref="board" class="list wall" aria-label="Molds" :aria-busy="wall.waiting.value">
      <li v-for="one in wall.molds.value" :key="one.mold">
        <MoldCard
          :there="one"
          :look="look"
          :taken="one.mold === shown?.mold"
          :scale="scale"
          @choose="chosen = one.mold"
        />
      </li>
    </ol>
    <button v-if="wall.left.value > 0" type="button" class="deed" @click="wall.more">
      Show {{ wall.left.value }} more
    </button>
    <template #ticket>
      <MoldTicket v-if="shown" :id="id" :keep="keep" :brief="shown" />
    </template>
  </ZoneFrame>
</template>

<style scoped>
.keeps {
  display: grid;
  gap: 6px;
}

.keep {
  background: var(--paper);
  border: 1px solid var(--rule);
  border-radius: var(--round);
  cursor: pointer;
  display: grid;
  gap: 1px;
  padding: 7px 10px;
  text-align: left;
}

.keep span {
  color: var(--muted);
  font-size: 13px;
  line-height: 1.25;
}

.keep.taken {
  background: var(--bronze-wash);
  border-color: var(--bronze);
}

.left {
  display: grid;
  gap: 6px;
}

.of {
  width: 100%;
}

.rules li {
  align-items: baseline;
  display: grid;
  font-size: 14px;
  gap: 0 7px;
  grid-template-columns: 11px 1fr;
  line-height: 1.25;
  padding: 4px 0;
}

.rules i {
  border: 1px solid rgb(34 48 42 / 35%);
  border-radius: 3px;
  height: 11px;
}

.rules em {
  color: var(--muted);
  font-size: 13px;
  font-style: normal;
  grid-column: 2;
}

.over {
  align-items: baseline;
  display: flex;
  flex-wrap: wrap;
  gap: 2px 14px;
  margin-bottom: 12px;
}

.wall {
  align-items: end;
  display: flex;
  flex-wrap: wrap;
  gap: 14px 12px;
  padding-bottom: 16px;
}
</style>
