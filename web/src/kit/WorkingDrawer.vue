<script setup lang="ts">
import Drawer from 'ant-design-vue/es/drawer'

import { useWorking } from './working'
import WorkingSteps from './WorkingSteps.vue'

const { open, close } = useWorking()
</script>

<template>
  <Drawer
    :open="open !== null"
    title="How this figure comes about"
    :width="440"
    placement="right"
    @close="close"
  >
    <WorkingSteps v-if="open" :working="open" />
  </Drawer>
</template>
