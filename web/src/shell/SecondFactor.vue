<script setup lang="ts">
/** A code of the moment at the door: put into an app, confirmed, turned off; words for a lost phone. */
import { computed, reactive } from 'vue'

import { Problem } from '../api/client'
import TextField from '../kit/TextField.vue'
import { useDoor } from './useDoor'

const { second, begin, confirm, turnOff } = useDoor()
const entry = reactive({ password: '', code: '' })
const secret = computed(() => begin.data.value)
const words = computed(() => confirm.data.value?.words)
const isOn = computed(() => second.data.value?.on ?? false)
const picture = computed(() =>
  secret.value ? `data:image/svg+xml;utf8,${encodeURIComponent(secret.value.picture)}` : '',
)
const problem = computed(() => {
  const error = confirm.error.value ?? begin.error.value ?? turnOff.error.value
  return error instanceof Problem ? error : null
})
const grouped = computed(() => secret.value?.secret.replace(/(.{4})/g, '$1 ').trim())

function submit() {
  if (isOn.value) {
    turnOff.mutate(entry.password, { onSuccess: () => (entry.password = '') })
  } else if (secret.value) {
    confirm.mutate(entry.code, { onSuccess: () => begin.reset() })
  } else {
    confirm.reset()
    begin.mutate(entry.password, { onSuccess: () => (entry.password = '') })
  }
}
</script>

<template>
  <section aria-label="A code at the door">
    <h3>A code at the door</h3>
    <div v-if="words" class="words" role="status">
      <p>
        From now on a code is asked for. Should the phone be lost, each of these words stands in for
        it once; they are not shown again.
      </p>
      <ul>
        <li v-for="word in words" :key="word">{{ word }}</li>
      </ul>
    </div>
    <p v-else-if="isOn">
      A code is asked for; {{ second.data.value?.recovery_left }} recovery words are left. The chef
      can help with a new password where phone and words are lost.
    </p>
    <p v-else-if="!secret" class="quiet">
      Besides the password, a code that an app on your phone shows for half a minute.
    </p>
    <form novalidate @submit.prevent="submit">
      <template v-if="secret">
        <p>Scan this with the app, or type {{ grouped }} into it. Then type the code it shows.</p>
        <img :src="picture" alt="The secret as a QR code" width="180" height="180" />
        <TextField
          v-model="entry.code"
          label="Code"
          autocomplete="one-time-code"
          :error="problem?.at('code')"
        />
      </template>
      <TextField
        v-else
        v-model="entry.password"
        label="My password"
        type="password"
        autocomplete="current-password"
        :error="problem?.at('password')"
      />
      <p v-if="problem && !problem.errors.length" class="wrong" role="alert">
        {{ problem.detail }}
      </p>
      <button class="deed" type="submit">
        {{ isOn ? 'Ask for no code any more' : secret ? 'Ask for it from now on' : 'Begin' }}
      </button>
    </form>
  </section>
</template>

<style scoped>
section,
form {
  display: grid;
  gap: 10px;
}

form button,
img {
  justify-self: start;
}

.words {
  background: var(--bronze-wash);
  border-radius: 8px;
  padding: 10px 12px;
}

.words ul {
  columns: 2;
  font-weight: 700;
  letter-spacing: 0.04em;
  list-style: none;
  margin: 8px 0 0;
  padding: 0;
}
</style>
