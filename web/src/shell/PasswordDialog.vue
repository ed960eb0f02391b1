<script setup lang="ts">
/** One's own password changed; every other session of one's own ends with the old one. */
import Modal from 'ant-design-vue/es/modal'
import { computed, reactive } from 'vue'

import { Problem } from '../api/client'
import TextField from '../kit/TextField.vue'
import { useSession } from './session'

const emit = defineEmits<{ close: [] }>()
const { changePassword } = useSession()
const entry = reactive({ old: '', new: '' })
const problem = computed(() =>
  changePassword.error.value instanceof Problem ? changePassword.error.value : null,
)
const save = () => changePassword.mutate({ ...entry }, { onSuccess: () => emit('close') })
</script>

<template>
  <Modal open title="Change my password" :footer="null" width="420px" @cancel="emit('close')">
    <form class="fields" novalidate @submit.prevent="save">
      <TextField
        v-model="entry.old"
        label="Password now"
        type="password"
        autocomplete="current-password"
        :error="problem?.at('old')"
      />
      <TextField
        v-model="entry.new"
        label="New password"
        type="password"
        autocomplete="new-password"
        hint="At least 10 characters"
        :error="problem?.at('new')"
      />
      <p v-if="problem && !problem.errors.length" class="wrong" role="alert">
        {{ problem.detail }}
      </p>
      <p class="quiet">Where else you are signed in, you will have to sign in again.</p>
      <button class="deed main" type="submit" :disabled="changePassword.isPending.value">
        Change it
      </button>
    </form>
  </Modal>
</template>

<style scoped>
.fields {
  display: grid;
  gap: 12px;
}

.fields button {
  justify-self: start;
}
</style>
