<script setup lang="ts">
import Modal from 'ant-design-vue/es/modal'
import { computed, reactive, ref } from 'vue'

import { Problem } from '../api/client'
import type { Role } from '../api/types'
import ChoiceField from '../kit/ChoiceField.vue'
import TextField from '../kit/TextField.vue'
import { useSession } from './session'
import { useMembers } from './useMembers'

const emit = defineEmits<{ close: [] }>()
const { person } = useSession()
const { members, add, change, remove, reset } = useMembers()
const ROLES = (['chef', 'cook', 'apprentice'] as const).map((value) => ({ value, label: value }))
const blank = { name: '', username: '', password: '', role: 'cook' as Role }
const entry = reactive({ ...blank })
const takeOn = () => add.mutate({ ...entry }, { onSuccess: () => Object.assign(entry, blank) })
const problem = computed(() => (add.error.value instanceof Problem ? add.error.value : null))
const refusal = computed(
  () => change.error.value?.message ?? remove.error.value?.message ?? reset.error.value?.message,
)
/** Shown this once; the server keeps only what it hashes to. */
const word = ref<{ name: string; word: string } | null>(null)
const giveWord = (id: number, name: string) =>
  reset.mutate(id, { onSuccess: (given) => (word.value = { name, ...given }) })
</script>

<template>
  <Modal open title="Members of the kitchen" :footer="null" width="620px" @cancel="emit('close')">
    <ul class="list">
      <li v-for="one in members.data.value ?? []" :key="one.id" class="member">
        <span
          >{{ one.name }} <span class="quiet">{{ one.username }}</span></span
        >
        <label>
          <span class="unseen">Role of {{ one.name }}</span>
          <ChoiceField
            :value="one.role"
            :options="ROLES"
            @change="(role) => change.mutate({ id: one.id, role: role as Role })"
          />
        </label>
        <button
          class="deed small"
          type="button"
          :disabled="one.username === person?.username"
          :title="`${one.name} forgot the password`"
          @click="giveWord(one.id, one.name)"
        >
          New password
        </button>
        <button class="deed small warn" type="button" @click="remove.mutate(one.id)">Remove</button>
      </li>
    </ul>
    <p v-if="word" class="word" role="status">
      Tell {{ word.name }} this word: <strong>{{ word.word }}</strong>. It works once, for three
      days, and is not shown again; their old password ended.
    </p>
    <p v-if="refusal" class="wrong" role="alert">{{ refusal }}</p>
    <form class="add" novalidate @submit.prevent="takeOn">
      <TextField v-model="entry.name" label="Name" :error="problem?.at('name')" />
      <TextField
        v-model="entry.username"
        label="Name to sign in with"
        :error="problem?.at('username')"
      />
      <TextField
        v-model="entry.password"
        label="First password"
        hint="Known here already? Then their own."
        type="password"
        autocomplete="new-password"
        :error="problem?.at('password')"
      />
      <label class="role">
        <span class="eyebrow">Role</span>
        <ChoiceField v-model:value="entry.role" :options="ROLES" />
      </label>
      <button class="deed main" type="submit" :disabled="add.isPending.value">
        Add to the kitchen
      </button>
    </form>
  </Modal>
</template>

<style scoped>
.member :deep(.ant-select) {
  width: 100%;
}

.member {
  align-items: center;
  border-bottom: 1px solid var(--rule);
  display: grid;
  gap: 10px;
  grid-template-columns: 1fr 130px auto auto;
  padding: 8px 0;
}

.add {
  display: grid;
  gap: 10px;
  grid-template-columns: 1fr 1fr;
  margin-top: 18px;
}

.word {
  background: var(--bronze-wash);
  border-radius: 8px;
  margin-top: 10px;
  padding: 10px 12px;
}

.role {
  display: grid;
}

.add button {
  align-self: end;
  justify-self: start;
}
</style>
