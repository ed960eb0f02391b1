<script setup lang="ts">
/** What goes and what comes in its place. */
import { computed } from 'vue'

import { useRows } from '../../api/shelves'
import ChoiceField, { type Option } from '../../kit/ChoiceField.vue'

defineProps<{ goes: Option[] }>()
const old = defineModel<string>('old')
const comes = defineModel<string>('comes')
const { rows: ingredients } = useRows('ingredients')
const options = computed(() =>
  ingredients.value
    .filter((one) => one.id !== old.value)
    .map((one) => ({ value: one.id, label: one.name })),
)
</script>

<template>
  <div class="asked">
    <label>
      <span class="eyebrow">Goes</span>
      <ChoiceField
        v-model:value="old"
        :options="goes"
        placeholder="what it is made of"
        shelf="ingredients"
      />
    </label>
    <label>
      <span class="eyebrow">Comes</span>
      <ChoiceField
        v-model:value="comes"
        :options="options"
        placeholder="type a word of it"
        shelf="ingredients"
      />
    </label>
  </div>
</template>

<style scoped>
.asked {
  display: grid;
  gap: 12px;
  grid-template-columns: 1fr 1fr;
}

label {
  display: grid;
  gap: 2px;
}
</style>
