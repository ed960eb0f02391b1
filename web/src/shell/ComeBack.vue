<script setup lang="ts">
/** The session ended over one's work: the password is asked, and nothing on the screen is lost. */
import Modal from 'ant-design-vue/es/modal'
import { computed, ref, watch } from 'vue'

import { Problem } from '../api/client'
import TextField from '../kit/TextField.vue'
import { useFirstFocus } from '../kit/useFirstFocus'
import { useSession } from './session'

const { session, person, comeBack, signOut } = useSession()
const password = ref('')
const code = ref('')
const field = ref<InstanceType<typeof TextField> | null>(null)
useFirstFocus(field)
const isShipped = computed(() =>
  session.value?.demo_people.some((one) => one.username === person.value?.username),
)
const problem = computed(() =>
  comeBack.error.value instanceof Problem ? comeBack.error.value : null,
)
const enter = () =>
  comeBack.mutate({
    username: person.value?.username ?? '',
    ...(isShipped.value ? {} : { password: password.value, code: code.value || null }),
  })
/** Asked for once, it stays: a wrong one is typed over. */
const asksCode = ref(false)
watch(problem, (now) => (asksCode.value ||= Boolean(now?.at('code'))))
</script>

<template>
  <Modal open title="You were signed out" :footer="null" :closable="false" width="420px">
    <form class="fields" novalidate @submit.prevent="enter">
      <p>What you did is kept on this screen, and is saved once you are back.</p>
      <TextField
        v-if="!isShipped"
        ref="field"
        v-model="password"
        :label="`Password of ${person?.name}`"
        type="password"
        autocomplete="current-password"
        :error="problem?.at('password')"
      />
      <TextField
        v-if="asksCode"
        v-model="code"
        label="Code of your app"
        autocomplete="one-time-code"
        :error="problem?.at('code')"
      />
      <p v-if="problem && !problem.errors.length" class="wrong" role="alert">
        {{ problem.detail }}
      </p>
      <span class="deeds">
        <button class="deed main" type="submit" :disabled="comeBack.isPending.value">
          Come back as {{ person?.name }}
        </button>
        <button class="deed" type="button" @click="signOut.mutate(undefined)">Somebody else</button>
      </span>
    </form>
  </Modal>
</template>

<style scoped>
.fields {
  display: grid;
  gap: 12px;
}

.deeds {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}
</style>
