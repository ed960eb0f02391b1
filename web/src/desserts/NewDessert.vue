<script setup lang="ts">
import Modal from 'ant-design-vue/es/modal'
import Select from 'ant-design-vue/es/select'
import { computed, ref } from 'vue'
import { useRouter } from 'vue-router'

import { Problem } from '../api/client'
import { useRows, useWrites } from '../api/shelves'
import TextField from '../kit/TextField.vue'

const emit = defineEmits<{ close: [] }>()
const router = useRouter()
const { rows: molds } = useRows('molds')
const { create } = useWrites('desserts')
const name = ref('')
const picked = ref<string>()
const mold = computed(() => picked.value ?? molds.value[0]?.id)
const options = computed(() => molds.value.map((one) => ({ value: one.id, label: one.name })))
const problem = computed(() => (create.error.value instanceof Problem ? create.error.value : null))

async function make() {
  if (!mold.value) return
  try {
    const row = await create.mutateAsync({ name: name.value, mold: mold.value })
    emit('close')
    await router.push(`/desserts/${row.id}`)
  } catch {
    // Shown at its field.
  }
}
</script>

<template>
  <Modal open title="A new dessert" :footer="null" width="440px" @cancel="emit('close')">
    <form class="new" novalidate @submit.prevent="make">
      <TextField v-model="name" label="Name" :error="problem?.at('name')" />
      <label v-if="molds.length">
        <span class="eyebrow">Made in</span>
        <Select
          :value="mold ?? ''"
          :options="options"
          class="mold"
          @change="(id) => (picked = String(id))"
        />
      </label>
      <p v-else>
        It needs a mold first: <RouterLink to="/molds">measure a ring or frame</RouterLink>.
      </p>
      <button class="deed main" type="submit" :disabled="!mold || create.isPending.value">
        Draw it
      </button>
    </form>
  </Modal>
</template>

<style scoped>
.new {
  display: grid;
  gap: 14px;
}

.mold {
  width: 100%;
}
</style>
