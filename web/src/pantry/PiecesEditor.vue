<script setup lang="ts">
/** What one piece weighs: an egg, a leaf, a pod. */
import type { Ingredient } from '../api/types'
import NumberField from '../kit/NumberField.vue'
import TextField from '../kit/TextField.vue'

type Piece = Ingredient['pieces'][number]
const props = defineProps<{
  pieces: Piece[]
  disabled: boolean
  errorAt: (field: string) => string | undefined
}>()
const emit = defineEmits<{ change: [pieces: Piece[]] }>()

function set(at: number, change: Partial<Piece>) {
  emit(
    'change',
    props.pieces.map((piece, i) => (i === at ? { ...piece, ...change } : piece)),
  )
}
</script>

<template>
  <fieldset>
    <legend class="eyebrow">Counted as</legend>
    <div v-for="(piece, i) in pieces" :key="i" class="piece">
      <TextField
        label="Piece"
        :model-value="piece.name"
        :disabled="disabled"
        @update:model-value="(name) => set(i, { name })"
      />
      <NumberField
        label="One weighs"
        unit="g"
        :step="0.1"
        :value="piece.mass_g"
        :disabled="disabled"
        :error="errorAt(`pieces.${i}.mass_g`)"
        @commit="(v) => v !== null && set(i, { mass_g: v })"
      />
      <button
        v-if="!disabled"
        type="button"
        class="deed small"
        :aria-label="`Take out ${piece.name}`"
        @click="
          emit(
            'change',
            pieces.filter((_, at) => at !== i),
          )
        "
      >
        ×
      </button>
    </div>
    <button
      v-if="!disabled"
      type="button"
      class="deed small dashed"
      @click="emit('change', [...pieces, { name: 'piece', mass_g: 10 }])"
    >
      Add a counted unit
    </button>
  </fieldset>
</template>

<style scoped>
fieldset {
  border: 0;
  display: grid;
  gap: 8px;
  margin: 0;
  padding: 0;
}

.piece {
  align-items: end;
  display: grid;
  gap: 6px;
  grid-template-columns: 1fr 100px auto;
}
</style>
