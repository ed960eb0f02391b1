<script setup lang="ts">
import ConfigProvider from 'ant-design-vue/es/config-provider'
import { computed, defineAsyncComponent, onMounted, ref, watch } from 'vue'
import { useRoute } from 'vue-router'

import { away } from './api/away'
import { useLeft } from './api/left'
import { signedOut } from './api/signedOut'
import { useEventListener } from './kit/useEventListener'
import { useWorking } from './kit/working'
import { commandFor, isTyping } from './shell/commands'
import { useSession } from './shell/session'
import { fetchRooms, ROOM_OF, router, unreached } from './shell/routes'
import { theme } from './shell/theme'
import TopStrip from './shell/TopStrip.vue'

const SignIn = defineAsyncComponent(() => import('./shell/SignIn.vue'))
const loadWhatNext = () => import('./shell/WhatNext.vue')
const WhatNext = defineAsyncComponent(loadWhatNext)
const ComeBack = defineAsyncComponent(() => import('./shell/ComeBack.vue'))
const KeysDialog = defineAsyncComponent(() => import('./shell/KeysDialog.vue'))
const WorkingDrawer = defineAsyncComponent(() => import('./kit/WorkingDrawer.vue'))
const { session, person, error } = useSession()
const { open: working } = useWorking()
const asking = ref(false)
const { left, sendAll, letGo } = useLeft()
const route = useRoute()
/** Where the row itself is open, it says so there. */
const leftElsewhere = computed(() => left.value.filter((one) => one.id !== route.params.id))
/** What earlier visits could not save is sent when its owner is here, and back. */
watch(
  () => person.value && !signedOut.value && `${person.value.username} ${person.value.kitchen.id}`,
  (here) => here && void sendAll(),
  { immediate: true },
)
watch(
  () => route.params.id,
  () => left.value.length && void sendAll(),
)
const keysShown = ref(false)
/** Fetched when there is time, so that what is typed after the keys finds it there. */
onMounted(() => setTimeout(() => Promise.allSettled([loadWhatNext(), fetchRooms()]), 1500))

useEventListener('keydown', (event) => {
  if (!person.value) return
  if (asking.value || keysShown.value) {
    // A dialog closes itself once it has the focus; this is for whoever is faster.
    if (event.key === 'Escape') asking.value = keysShown.value = false
    return
  }
  if ((event.ctrlKey || event.metaKey) && event.key.toLowerCase() === 'k') {
    event.preventDefault()
    asking.value = true
  } else if (event.key === '?' && !isTyping(event)) {
    keysShown.value = true
  } else {
    const command = commandFor(event)
    if (!command) return
    event.preventDefault()
    command.run()
  }
})
</script>

<template>
  <ConfigProvider :theme="theme" :auto-insert-space-in-button="false">
    <p v-if="error && !session" class="silence" role="alert">{{ error.message }}</p>
    <template v-else-if="person">
      <div class="house">
        <TopStrip class="no-print" @ask="asking = true" @keys="keysShown = true" />
        <main class="room">
          <p v-if="unreached" class="unreached" role="alert">
            This room was not loaded yet, and the kitchen server does not answer. What you see is
            kept.
            <button type="button" class="deed small" @click="router.push(unreached)">
              Try again
            </button>
          </p>
          <p v-if="away" class="unreached" role="status">
            The kitchen does not answer. You see what was known; it is asked again by itself.
          </p>
          <p v-for="one in leftElsewhere" :key="one.place" class="unreached" role="alert">
            What you did to <strong>{{ one.name }}</strong> could not be saved:
            {{ one.problem.detail }}
            <RouterLink
              v-if="one.problem.status === 409"
              class="deed small"
              :to="`/${ROOM_OF[one.shelf] ?? one.shelf}/${one.id}`"
              >Look at it</RouterLink
            >
            <button type="button" class="deed small" @click="letGo(one)">Let it go</button>
          </p>
          <RouterView />
        </main>
      </div>
      <ComeBack v-if="signedOut" />
      <WorkingDrawer v-if="working" />
      <WhatNext v-if="asking" @close="asking = false" />
      <KeysDialog v-if="keysShown" @close="keysShown = false" />
    </template>
    <SignIn v-else-if="session" />
  </ConfigProvider>
</template>

<style scoped>
.house {
  display: grid;
  grid-template-rows: var(--strip-height) minmax(0, 1fr);
  height: 100vh;
}

.room {
  min-height: 0;
  overflow: auto;
  position: relative;
}

.unreached {
  background: var(--amber-wash);
  border-bottom: 1px solid var(--amber-rule);
  padding: 8px 18px;
}

.silence {
  color: var(--brick);
  padding: 40px;
}

@media print {
  .house {
    display: block;
    height: auto;
  }

  .room {
    overflow: visible;
  }
}
</style>
