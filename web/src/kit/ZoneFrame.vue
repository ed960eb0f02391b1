<script setup lang="ts">
/** The three zones of a room: what there is to choose, the thing itself, what it takes. On a phone one at a time. */
import { ref, watch } from 'vue'

type Zone = 'shelf' | 'board' | 'ticket'
const props = defineProps<{
  /** What is open; on a phone the board comes forward with it. */
  shown?: string | undefined
  /** What the zones are called in this room. */
  shelf: string
  board: string
  ticket?: string
}>()
const zone = ref<Zone>('board')
watch(
  () => props.shown,
  () => (zone.value = 'board'),
)
const zones: Zone[] = ['shelf', 'board', 'ticket']
</script>

<template>
  <div class="zones" :class="{ two: !ticket }" :data-zone="zone">
    <div class="zone-shelf"><slot name="shelf" /></div>
    <section class="zone-board" :aria-label="board"><slot /></section>
    <div v-if="ticket" class="zone-ticket"><slot name="ticket" /></div>
    <nav class="turn no-print" aria-label="Zones">
      <template v-for="one in zones" :key="one">
        <button
          v-if="props[one]"
          type="button"
          :aria-pressed="zone === one"
          :class="{ on: zone === one }"
          @click="zone = one"
        >
          {{ props[one] }}
        </button>
      </template>
    </nav>
  </div>
</template>
