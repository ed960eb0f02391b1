<script setup lang="ts">
/** The dial of a job: its bands, where the formula stands, and a hand that turns it. */
import { computed, ref, watch } from 'vue'

import type { Job, Reading } from '../../api/types'
import { figure } from '../../kit/format'
import { scaleOf } from '../../kit/units'
import WorkedFigure from '../../kit/WorkedFigure.vue'
import { useWorking } from '../../kit/working'
import { onStep, placeOf, valueAt } from './dial'

const props = defineProps<{
  job: Job
  landing: Reading['landing']
  finished: number | undefined
  refusal: string
  disabled: boolean
}>()
const emit = defineEmits<{ turn: [value: number]; settle: [] }>()
const { show } = useWorking()
const track = ref<HTMLElement | null>(null)
/** Where the hand holds it, ahead of the answer. */
const held = ref<number | null>(null)
const dial = computed(() => props.job.dial)
const bands = computed(() => dial.value.bands)
const value = computed(() => held.value ?? props.landing?.working?.value ?? null)
const at = computed(() => (value.value === null ? null : placeOf(bands.value, value.value)))
const scale = computed(() => scaleOf(dial.value.unit))
const places = computed(() => Math.max(0, -Math.floor(Math.log10(dial.value.step) + 1e-9)))
const text = (kept: number) => figure(scale.value.shown(kept), places.value)
const inBand = computed(() => {
  const now = value.value
  return bands.value.find((one) => now !== null && now >= one.least && now <= one.most)
})
const asked = computed(() => bands.value.find((one) => one.name === props.job.band))
const off = computed(() => Boolean(value.value !== null && inBand.value?.name !== props.job.band))
const edges = computed(() => [
  ...bands.value.map((one) => one.least),
  ...bands.value.slice(-1).map((one) => one.most),
])
/** The bands darken along the dial; in between no text could be read on them. */
const share = (i: number) => i / Math.max(1, bands.value.length - 1)
const isDark = (i: number) => share(i) > 0.55
const shade = (i: number) => `${isDark(i) ? 44 + 40 * share(i) : 12 + 45 * share(i)}%`

let dragging = false
watch(
  () => [props.landing, props.refusal],
  () => {
    if (!dragging) held.value = null
  },
)

function hold(event: PointerEvent) {
  if (props.disabled || event.button !== 0) return
  dragging = true
  track.value?.setPointerCapture(event.pointerId)
  drag(event)
}
function drag(event: PointerEvent) {
  const box = track.value?.getBoundingClientRect()
  if (!dragging || !box) return
  turnTo(valueAt(dial.value, (100 * (event.clientX - box.left)) / box.width))
}
function turnTo(next: number) {
  if (next === held.value) return
  held.value = next
  emit('turn', next)
}
function release() {
  if (!dragging) return
  dragging = false
  emit('settle')
}

const MOVES: Record<string, number> = {
  ArrowRight: 1,
  ArrowUp: 1,
  ArrowLeft: -1,
  ArrowDown: -1,
  PageUp: 10,
  PageDown: -10,
}
function key(event: KeyboardEvent) {
  if (props.disabled || value.value === null) return
  const ends: Record<string, number | undefined> = {
    Home: asked.value?.least,
    End: asked.value?.most,
  }
  const by = MOVES[event.key]
  const next = ends[event.key] ?? (by && value.value + by * dial.value.step)
  if (next === undefined || next === 0) return
  event.preventDefault()
  turnTo(onStep(dial.value, next))
  emit('settle')
}
</script>

<template>
  <section class="dial" aria-label="The dial">
    <div class="words" :style="{ '--at': `${at ?? 0}%` }">
      <p v-if="value !== null" :class="['now', { flip: (at ?? 0) > (off ? 38 : 52) }]">
        <WorkedFigure
          v-if="landing?.working"
          :working="landing.working"
          :text="text(value)"
          :class="{ off }"
        />
        <span class="quiet">
          {{ dial.name.toLowerCase() }} {{ off ? '· not yet for its job' : '' }}
        </span>
      </p>
      <p v-else class="quiet unread">
        {{ landing?.refusal ?? 'It cannot be told where it stands.' }}
      </p>
    </div>
    <div
      ref="track"
      :class="['track', { still: disabled }]"
      @pointerdown="hold"
      @pointermove="drag"
      @pointerup="release"
      @pointercancel="release"
    >
      <span
        v-for="(band, i) in bands"
        :key="i"
        :class="['band', { asked: band.name === job.band, dark: isDark(i) }]"
        :style="{ '--shade': shade(i) }"
        ><span>{{ band.name }}</span></span
      >
      <span
        v-if="at !== null"
        class="needle"
        role="slider"
        :tabindex="disabled ? -1 : 0"
        :aria-label="`${dial.name}: turn it`"
        :aria-valuemin="bands[0]?.least"
        :aria-valuemax="bands[bands.length - 1]?.most"
        :aria-valuenow="value ?? undefined"
        :aria-valuetext="`${text(value ?? 0)} ${scale.unit}, ${inBand?.name ?? 'off the dial'}`"
        :aria-disabled="disabled"
        :style="{ left: `${at}%` }"
        @keydown="key"
      />
    </div>
    <div class="edges" aria-hidden="true">
      <span v-for="edge in edges" :key="edge">{{ text(edge) }}</span>
    </div>
    <p class="quiet foot">
      {{ dial.says }}. Turn it: {{ dial.moves }} follows<template v-if="finished"
        >, the {{ figure(finished, 0) }} g stay</template
      >.
    </p>
    <button
      v-if="job.own"
      type="button"
      class="own"
      :title="`How ${job.own.working.figure} comes about`"
      @click="show(job.own.working)"
    >
      {{ job.own.says }}
    </button>
    <p v-if="refusal" class="wrong" role="alert">{{ refusal }}</p>
  </section>
</template>

<style scoped>
.dial {
  padding: 2px 10px 0;
  user-select: none;
}

.words {
  height: 34px;
  position: relative;
}

.now {
  bottom: 6px;
  left: calc(var(--at) + 14px);
  position: absolute;
  white-space: nowrap;
}

.now.flip {
  left: auto;
  right: calc(100% - var(--at) + 14px);
}

.now :deep(strong) {
  font-size: 22px;
}

.off :deep(strong) {
  color: var(--amber);
}

.now .quiet {
  margin-left: 8px;
}

.unread {
  padding-top: 8px;
}

.track {
  cursor: ew-resize;
  display: flex;
  gap: 2px;
  height: 34px;
  position: relative;
  touch-action: none;
}

.track.still {
  cursor: default;
}

.own {
  background: none;
  border: 0;
  border-bottom: 1px dotted var(--bronze);
  color: var(--bronze-text);
  cursor: help;
  font: inherit;
  padding: 0;
  text-align: left;
}

.band {
  align-items: center;
  background: color-mix(in srgb, var(--dial-deep) var(--shade), var(--dial-pale));
  border-radius: 5px;
  color: var(--ink);
  display: flex;
  flex: 1 1 0;
  font-size: 13.5px;
  justify-content: center;
  min-width: 0;
  padding: 0 6px;
}

.band > span {
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}

.band.dark {
  color: var(--paper);
}

.band.asked {
  box-shadow:
    0 0 0 2px var(--porcelain),
    0 0 0 4px var(--bronze);
  font-weight: 700;
  z-index: 1;
}

.needle {
  background: var(--ink);
  border-radius: 2px;
  bottom: -7px;
  margin-left: -1.5px;
  position: absolute;
  top: -8px;
  width: 3px;
  z-index: 2;
}

.needle::before {
  background: var(--bronze);
  border-radius: 3px 3px 8px 8px;
  content: '';
  height: 16px;
  left: -7px;
  position: absolute;
  top: -14px;
  width: 17px;
}

.edges {
  display: flex;
  font-size: 13px;
  justify-content: space-between;
  margin: 9px -10px 0;
  color: var(--muted);
}

.edges span {
  text-align: center;
  width: 32px;
}

.foot {
  margin-top: 2px;
}

.foot::first-letter {
  text-transform: uppercase;
}
</style>
