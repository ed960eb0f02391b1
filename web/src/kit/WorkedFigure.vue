<script setup lang="ts">
/** A computed figure; pressing it opens its working. */
import { computed } from 'vue'

import type { Working } from '../api/types'
import { figure } from './format'
import { scaleOf } from './units'
import { useWorking } from './working'

const props = defineProps<{
  working: Working | null
  text?: string
  unit?: string
  plain?: boolean
}>()
const { show } = useWorking()
const scale = computed(() => scaleOf(props.working?.unit))
const value = computed(() => figure(scale.value.shown(props.working?.value ?? 0)))
</script>

<template>
  <button
    v-if="props.working"
    type="button"
    :class="['figure', { plain }]"
    :title="`How ${props.working.figure} comes about`"
    @click.stop="show(props.working)"
  >
    <strong>{{ text ?? value }}</strong>
    <span class="unit">{{ unit ?? scale.unit }}</span>
  </button>
  <span v-else class="figure unknown" title="Unknown: see the findings">unknown</span>
</template>

<style scoped>
.figure {
  background: none;
  border: 0;
  border-bottom: 1px dotted var(--leaf-strong);
  cursor: help;
  padding: 0;
  white-space: nowrap;
}

.figure:hover {
  border-bottom-color: var(--bronze);
}

.plain {
  border-color: transparent;
  color: var(--muted);
}

.plain strong {
  font-weight: 400;
}

.unit {
  color: var(--muted);
  font-size: 13px;
  margin-left: 3px;
}

.unknown {
  border: 0;
  color: var(--brick);
  cursor: default;
}
</style>
