<script setup lang="ts">
/** A formula's color and texture as a small square. */
import { computed } from 'vue'

import { lookOf, patternId } from './flavors'
import TexturePatterns from './TexturePatterns.vue'

const props = defineProps<{
  formula: { flavor: string; kind: string; color?: string } | undefined
  size?: number
}>()
const look = computed(() => lookOf(props.formula))
const side = computed(() => props.size ?? 26)
</script>

<template>
  <svg :width="side" :height="side" viewBox="0 0 26 26" aria-hidden="true" class="swatch">
    <TexturePatterns :looks="[look]" />
    <rect width="26" height="26" rx="6" :fill="`url(#${patternId(look)})`" />
  </svg>
</template>

<style scoped>
.swatch {
  flex: none;
}
</style>
