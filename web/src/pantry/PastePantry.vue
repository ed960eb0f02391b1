<script setup lang="ts">
/** Ingredients pasted as a list: shown line by line before any of them is written, all or none. */
import { computed, ref } from 'vue'

import { useWrites } from '../api/shelves'
import type { PastedIngredient } from '../api/types'
import { figure } from '../kit/format'
import PasteDialog from '../kit/PasteDialog.vue'
import { readIngredients } from './pasted'

const emit = defineEmits<{ close: [] }>()
const { createMany } = useWrites('ingredients')
const read = ref<PastedIngredient[] | null>(null)

async function look(text: string) {
  read.value = await readIngredients(text)
}

const fresh = computed(() => (read.value ?? []).filter((one) => !one.refusal && !one.there))
async function add() {
  await createMany.mutateAsync(
    fresh.value.map(({ name, density_g_ml }) => ({ name, density_g_ml })),
  )
  emit('close')
}
</script>

<template>
  <PasteDialog
    title="Paste ingredients"
    label="One a line; its density in g/ml beside it, where you know it"
    placeholder="Medlar purée, 1.05"
    :look="look"
    :add="add"
    :read="read !== null"
    :taken="fresh.length"
    :action="`Add ${fresh.length} to the pantry`"
    @changed="read = null"
    @close="emit('close')"
  >
    <ul class="list" aria-label="What was understood">
      <li v-for="(line, i) in read" :key="i">
        <span>{{ line.name || line.text }}</span>
        <span v-if="line.refusal" class="wrong">{{ line.refusal }}</span>
        <span v-else-if="line.there" class="quiet">is there already, left out</span>
        <span v-else class="quiet">
          {{
            line.density_g_ml === null
              ? 'new, density unknown'
              : `new, ${figure(line.density_g_ml, 2)} g/ml`
          }}
        </span>
      </li>
    </ul>
  </PasteDialog>
</template>

<style scoped>
li {
  border-top: 1px solid var(--rule);
  display: flex;
  gap: 16px;
  justify-content: space-between;
  padding: 5px 0;
}
</style>
