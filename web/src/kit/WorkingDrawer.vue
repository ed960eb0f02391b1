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
    <section v-if="open" role="dialog" aria-label="How this figure comes about">
      <WorkingSteps :working="open" />
    </section>
  </Drawer>
</template>
