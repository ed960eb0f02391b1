<script setup lang="ts">
/** What a row of the kitchen's list is called, and the way to take it away. */
const props = defineProps<{
  name: string
  label: string
  error?: string | undefined
  disabled: boolean
}>()
const emit = defineEmits<{ rename: [name: string]; away: [] }>()

/** A name that is refused stands there until it is mended; none at all is the one before. */
function rename(field: HTMLInputElement) {
  const name = field.value.trim()
  if (name) emit('rename', name)
  else field.value = props.name
}
</script>

<template>
  <header>
    <input
      class="name"
      :value="name"
      :aria-label="label"
      :disabled="disabled"
      :aria-invalid="Boolean(error)"
      maxlength="120"
      @change="rename($event.target as HTMLInputElement)"
    />
    <button
      v-if="!disabled"
      type="button"
      class="deed small"
      :aria-label="`Take ${name} away`"
      @click="emit('away')"
    >
      ×
    </button>
  </header>
  <p v-if="error" class="wrong">{{ error }}</p>
</template>

<style scoped>
header {
  align-items: center;
  display: flex;
  justify-content: space-between;
}

.name {
  background: none;
  border: 0;
  border-bottom: 1px solid transparent;
  color: inherit;
  flex: 1;
  font: inherit;
  font-weight: 700;
  min-width: 0;
  padding: 2px 0;
}

.name:hover:not(:disabled),
.name:focus {
  border-bottom-color: var(--leaf-strong);
}

.name[aria-invalid='true'] {
  border-bottom-color: var(--brick);
}
</style>
