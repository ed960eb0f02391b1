<script setup lang="ts">
/** SVG patterns for the looks in use: color first, and a texture that reads in grey. */
import { type Look, patternId } from './flavors'

withDefaults(
  defineProps<{
    looks: Look[]
    /** Of the texture, where the drawing is in millimetres. */
    scale?: number
  }>(),
  { scale: 1 },
)
const SIZE = 24
</script>

<template>
  <defs>
    <pattern
      v-for="look in looks"
      :id="patternId(look, scale)"
      :key="patternId(look)"
      :width="SIZE"
      :height="SIZE"
      patternUnits="userSpaceOnUse"
      v-bind="{ patternTransform: `scale(${scale})` }"
    >
      <rect :width="SIZE" :height="SIZE" :fill="look.color" />
      <g v-if="look.texture === 'crumb'" class="dark">
        <path
          d="M3 5l3-2 2 3-3 2zM14 3l4 1-1 3-4-1zM8 13l3-2 3 2-2 3-4 0zM18 14l3 1-2 3-3-1zM3 19l3-1 1 3-3 1z"
        />
      </g>
      <g v-else-if="look.texture === 'sponge'" class="dark">
        <ellipse cx="5" cy="5" rx="2" ry="1.1" />
        <ellipse cx="16" cy="8" rx="1.5" ry="1" />
        <ellipse cx="9" cy="15" rx="1.8" ry="1" />
        <ellipse cx="20" cy="19" rx="2" ry="1.1" />
      </g>
      <g v-else-if="look.texture === 'airy'" class="line">
        <circle cx="6" cy="6" r="2.6" />
        <circle cx="17" cy="15" r="3.2" />
        <circle cx="16" cy="4" r="1.4" />
        <circle cx="5" cy="18" r="1.7" />
      </g>
      <g v-else-if="look.texture === 'set'" class="line">
        <path d="M2 6h5M12 6h6M6 14h7M18 14h4M1 20h5M13 21h5" />
      </g>
      <g v-else-if="look.texture === 'smooth'" class="line">
        <path d="M0 12c6-3 18 3 24 0" />
      </g>
      <g v-else-if="look.texture === 'liquid'" class="light">
        <path d="M0 8h24M0 18h24" />
      </g>
      <g v-else-if="look.texture === 'crisp'" class="line">
        <path d="M2 3l5 7 6-6 4 8 6-7M1 16l6 5 5-6 6 6 5-5" />
      </g>
      <g v-else class="dark">
        <circle cx="6" cy="7" r="1.6" />
        <circle cx="17" cy="17" r="1.6" />
      </g>
    </pattern>
  </defs>
</template>

<style scoped>
.dark {
  fill: var(--ink);
  fill-opacity: 0.26;
}

.line {
  fill: none;
  stroke: var(--ink);
  stroke-opacity: 0.24;
  stroke-width: 1.2;
}

.light {
  fill: none;
  stroke: var(--paper);
  stroke-opacity: 0.28;
  stroke-width: 1.2;
}
</style>
