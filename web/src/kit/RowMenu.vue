<script setup lang="ts">
/** What can be done with a row beside changing it. */
import Dropdown from 'ant-design-vue/es/dropdown'
import Menu, { MenuItem } from 'ant-design-vue/es/menu'
import { defineAsyncComponent, ref } from 'vue'
import { useRouter } from 'vue-router'

import { refusalOf } from '../api/client'
import { type Shelf, useWrites } from '../api/shelves'
import { useSession } from '../shell/session'

const HistoryDialog = defineAsyncComponent(() => import('./HistoryDialog.vue'))
const ArchivedDialog = defineAsyncComponent(() => import('./ArchivedDialog.vue'))
const props = defineProps<{ shelf: Shelf; id: string; name: string; room: string }>()
const router = useRouter()
const { mayWrite, isChef } = useSession()
const { copy, archive } = useWrites(props.shelf)
const historyOpen = ref(false)
const archivedOpen = ref(false)
const refusal = ref('')

async function duplicate() {
  try {
    const row = await copy.mutateAsync(props.id)
    await router.push(`/${props.room}/${row.id}`)
  } catch (error) {
    refusal.value = refusalOf(error).detail
  }
}

async function putAway() {
  refusal.value = ''
  try {
    await archive.mutateAsync(props.id)
    await router.push(`/${props.room}`)
  } catch (error) {
    refusal.value = refusalOf(error).detail
  }
}
</script>

<template>
  <Dropdown :trigger="['click']" placement="bottomRight">
    <button type="button" class="deed small" :aria-label="`More for ${name}`">⋯</button>
    <template #overlay>
      <Menu>
        <slot />
        <MenuItem v-if="mayWrite" key="copy" @click="duplicate">Make a copy</MenuItem>
        <MenuItem key="history" @click="historyOpen = true">Who changed what</MenuItem>
        <MenuItem v-if="isChef" key="archive" @click="putAway">Archive</MenuItem>
        <MenuItem v-if="isChef" key="archived" @click="archivedOpen = true"
          >What was archived</MenuItem
        >
      </Menu>
    </template>
  </Dropdown>
  <p v-if="refusal" class="wrong refusal" role="alert">{{ refusal }}</p>
  <ArchivedDialog v-if="archivedOpen" :shelf="shelf" @close="archivedOpen = false" />
  <HistoryDialog
    v-if="historyOpen"
    :id="id"
    :shelf="shelf"
    :name="name"
    @close="historyOpen = false"
  />
</template>

<style scoped>
.refusal {
  flex-basis: 100%;
  font-size: 14px;
}
</style>
