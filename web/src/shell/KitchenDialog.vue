<script setup lang="ts">
/** Another kitchen, founded by whoever is signed in, who becomes its chef. */
import Checkbox from 'ant-design-vue/es/checkbox'
import Modal from 'ant-design-vue/es/modal'
import { computed, reactive } from 'vue'

import { Problem } from '../api/client'
import TextField from '../kit/TextField.vue'
import { useSession } from './session'

const emit = defineEmits<{ close: [] }>()
const { foundAnother } = useSession()
const entry = reactive({ kitchen: '', starter: true })
const problem = computed(() =>
  foundAnother.error.value instanceof Problem ? foundAnother.error.value : null,
)
const found = () =>
  foundAnother.mutate(
    { ...entry, time_zone: Intl.DateTimeFormat().resolvedOptions().timeZone },
    { onSuccess: () => emit('close') },
  )
</script>

<template>
  <Modal open title="Found another kitchen" :footer="null" width="420px" @cancel="emit('close')">
    <form novalidate @submit.prevent="found">
      <p class="quiet">
        Its pantry, formulas and people are its own. You are its chef, and go to and fro under your
        name.
      </p>
      <TextField v-model="entry.kitchen" label="Kitchen" :error="problem?.at('kitchen')" />
      <Checkbox v-model:checked="entry.starter">
        Start with a pantry of common ingredients and fifty molds
      </Checkbox>
      <p v-if="problem && !problem.errors.length" class="wrong" role="alert">
        {{ problem.detail }}
      </p>
      <button class="deed main" type="submit" :disabled="foundAnother.isPending.value">
        Found the kitchen
      </button>
    </form>
  </Modal>
</template>

<style scoped>
form {
  display: grid;
  gap: 12px;
}

form button {
  justify-self: start;
}
</style>
