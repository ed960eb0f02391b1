<script setup lang="ts">
import Checkbox from 'ant-design-vue/es/checkbox'
import { computed, reactive, ref, watch } from 'vue'

import { Problem } from '../api/client'
import TextField from '../kit/TextField.vue'
import { useFirstFocus } from '../kit/useFirstFocus'
import { useSession } from './session'

const { session, signIn, signInDemo, found } = useSession()
const entry = reactive({
  kitchen: '',
  name: '',
  username: '',
  password: '',
  new_password: '',
  code: '',
  starter: true,
})
const first = computed(() => session.value?.first_visit ?? false)
const door = ref<InstanceType<typeof TextField> | null>(null)
useFirstFocus(door)
const people = computed(() => session.value?.demo_people ?? [])
const problem = computed(() => {
  const error = found.error.value ?? signIn.error.value ?? signInDemo.error.value
  return error instanceof Problem ? error : null
})

/** Whoever comes in with a word that works once is asked for a password of their own. */
const choosing = ref(false)
watch(problem, (now) => (choosing.value ||= Boolean(now?.at('new_password'))))
/** Whoever asked for it is asked for a code. */
const asksCode = ref(false)
watch(problem, (now) => (asksCode.value ||= Boolean(now?.at('code'))))

function submit() {
  if (first.value) {
    const { kitchen, name, username, password, starter } = entry
    const time_zone = Intl.DateTimeFormat().resolvedOptions().timeZone
    return found.mutate({ kitchen, name, username, password, starter, time_zone })
  }
  const { username, password, new_password, code } = entry
  signIn.mutate({
    username,
    password,
    new_password: new_password || null,
    code: code || null,
  })
}
</script>

<template>
  <main class="door">
    <section class="card">
      <img src="/bell.svg" alt="" width="52" height="52" />
      <h1>Fern Bell</h1>
      <p class="quiet">
        {{
          first
            ? 'Nobody has been here yet. Found your kitchen; you are its chef.'
            : 'Draw the cut; every gram follows.'
        }}
      </p>

      <div v-if="people.length" class="people">
        <p class="eyebrow">Demo kitchen of Wrenmoor Hall: come in as</p>
        <button
          v-for="one in people"
          :key="one.username"
          class="deed person"
          type="button"
          :disabled="signInDemo.isPending.value"
          @click="signInDemo.mutate(one.username)"
        >
          <span>{{ one.name }}</span>
          <span class="quiet">{{ one.role }}</span>
        </button>
      </div>

      <form novalidate @submit.prevent="submit">
        <p v-if="people.length" class="eyebrow">or with a name of your own</p>
        <template v-if="first">
          <TextField
            ref="door"
            v-model="entry.kitchen"
            label="Kitchen"
            :error="problem?.at('kitchen')"
          />
          <TextField v-model="entry.name" label="Your name" :error="problem?.at('name')" />
        </template>
        <TextField
          v-model="entry.username"
          label="Name to sign in with"
          autocomplete="username"
          :error="problem?.at('username')"
        />
        <TextField
          v-model="entry.password"
          label="Password"
          type="password"
          :autocomplete="first ? 'new-password' : 'current-password'"
          :hint="first ? 'At least 10 characters' : undefined"
          :error="problem?.at('password')"
        />
        <TextField
          v-if="choosing"
          v-model="entry.new_password"
          label="A password of your own"
          type="password"
          autocomplete="new-password"
          hint="At least 10 characters"
          :error="problem?.at('new_password')"
        />
        <TextField
          v-if="asksCode"
          v-model="entry.code"
          label="Code of your app"
          autocomplete="one-time-code"
          hint="Or a recovery word"
          :error="problem?.at('code')"
        />
        <Checkbox v-if="first" v-model:checked="entry.starter">
          Start with a pantry of common ingredients and fifty molds
        </Checkbox>
        <button
          class="deed main"
          type="submit"
          :disabled="found.isPending.value || signIn.isPending.value"
        >
          {{ first ? 'Found the kitchen' : 'Sign in' }}
        </button>
      </form>
      <p v-if="problem && !problem.errors.length" class="wrong" role="alert">
        {{ problem.detail }}
      </p>
    </section>
  </main>
</template>

<style scoped>
.door {
  background: var(--fern);
  display: grid;
  height: 100vh;
  overflow: auto;
  padding: 24px;
  place-items: center;
}

.card {
  background: var(--porcelain);
  border-radius: 14px;
  display: grid;
  gap: 12px;
  max-width: 100%;
  padding: 32px 36px;
  width: 420px;
}

form,
.people {
  display: grid;
  gap: 10px;
}

.person {
  justify-content: space-between;
  min-height: 44px;
}
</style>
