<script setup lang="ts">
/** What else is said of a line: where it comes from, when it goes in, how far it is whipped. */
import type { SheetPage } from '../api/types'
import { figure } from '../kit/format'

defineProps<{
  line: SheetPage['sheet']['lines'][number]
  note: string | undefined
  /** Whether not all lines go in at once, so that it is told when. */
  staged: boolean
}>()
</script>

<template>
  <span class="more">
    <template v-if="line.formula"> made before</template>
    <template v-if="staged && line.stage"> at {{ line.stage }}</template>
    <template v-if="line.overrun_percent">
      whipped to {{ figure(line.overrun_percent, 0) }} % overrun</template
    >
    {{ note }}
  </span>
</template>

<style scoped>
.more {
  color: var(--muted);
  font-size: 0.88em;
}
</style>
