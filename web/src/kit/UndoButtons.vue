<script setup lang="ts">
/** One step back, one forward; the keys do the same. */
import type { useUndo } from './useUndo'

defineProps<{ undo: Pick<ReturnType<typeof useUndo>, 'undo' | 'redo' | 'canUndo' | 'canRedo'> }>()
</script>

<template>
  <span class="steps">
    <button
      type="button"
      class="deed small"
      :disabled="!undo.canUndo.value"
      title="Undo (Ctrl Z)"
      @click="undo.undo"
    >
      Undo
    </button>
    <button
      type="button"
      class="deed small"
      :disabled="!undo.canRedo.value"
      title="Redo (Ctrl Shift Z)"
      @click="undo.redo"
    >
      Redo
    </button>
  </span>
</template>

<style scoped>
.steps {
  display: inline-flex;
  gap: 6px;
}
</style>
