<script setup lang="ts">
import ConfigProvider from 'ant-design-vue/es/config-provider'
import { defineAsyncComponent } from 'vue'

import { useWorking } from './kit/working'
import { useSession } from './shell/session'
import { theme } from './shell/theme'
import TopStrip from './shell/TopStrip.vue'

const SignIn = defineAsyncComponent(() => import('./shell/SignIn.vue'))
const WorkingDrawer = defineAsyncComponent(() => import('./kit/WorkingDrawer.vue'))
const { session, person, error } = useSession()
const { open: working } = useWorking()
</script>

<template>
  <ConfigProvider :theme="theme" :auto-insert-space-in-button="false">
    <p v-if="error" class="silence" role="alert">{{ error.message }}</p>
    <template v-else-if="person">
      <div class="house">
        <TopStrip class="no-print" />
        <main class="room"><RouterView /></main>
      </div>
      <WorkingDrawer v-if="working" />
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
