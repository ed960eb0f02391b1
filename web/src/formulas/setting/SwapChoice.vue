<script setup lang="ts">
/** What goes and what comes in its place. */
import { ref } from 'vue'

import { know } from '../../api/known'
import ChoiceField, { type Option } from '../../kit/ChoiceField.vue'
import RowChoice from '../../kit/RowChoice.vue'

defineProps<{ goes: Option[] }>()
const old = defineModel<string>('old')
const comes = defineModel<string>('comes')
const chosen = ref<string>()
/** Lines that take it in are called so at once. */
function take(one: { id: string; name: string }) {
  chosen.value = one.name
  know('ingredients', [one])
}
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
      <RowChoice
        v-model:value="comes"
        :label="chosen"
        placeholder="type a word of it"
        shelf="ingredients"
        :fits="(one) => one.id !== old"
        @row="take"
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
