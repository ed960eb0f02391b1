<script setup lang="ts">
/** A mold from a drawing or a scan: an SVG path extruded, or the mesh of what it holds. */
import Modal from 'ant-design-vue/es/modal'
import { Textarea } from 'ant-design-vue/es/input'
import { ref } from 'vue'
import { useRouter } from 'vue-router'

import { type Problem, refusalOf } from '../api/client'
import { house } from '../api/house'
import { useWrites } from '../api/shelves'
import NumberField from '../kit/NumberField.vue'
import SwitchRow from '../kit/SwitchRow.vue'
import TextField from '../kit/TextField.vue'
import { shapeOfMesh, shapeOfPath } from './useFile'

const emit = defineEmits<{ close: [] }>()
const router = useRouter()
const { create } = useWrites('molds')
const WAYS = [
  { value: 'path', label: 'an SVG path' },
  { value: 'mesh', label: 'an STL mesh' },
]
const way = ref('path')
const name = ref('')
const path = ref('')
const length = ref<number | null>(180)
const height = ref<number | null>(45)
const unit = ref(house.value.mesh_units[0] ?? '')
const file = ref<File | null>(null)
const refusal = ref<Problem | null>(null)
const busy = ref(false)

const choose = (event: Event) => {
  file.value = (event.target as HTMLInputElement).files?.[0] ?? null
}

async function make() {
  refusal.value = null
  busy.value = true
  try {
    const shape = await (way.value === 'path'
      ? shapeOfPath(path.value, length.value ?? 0, height.value ?? 0)
      : shapeOfMesh(file.value, unit.value))
    const row = await create.mutateAsync({ name: name.value, shape, cavities: 1, note: '' })
    emit('close')
    await router.push(`/molds/${row.id}`)
  } catch (error) {
    refusal.value = refusalOf(error)
  } finally {
    busy.value = false
  }
}
</script>

<template>
  <Modal open title="A mold from a file" :footer="null" width="480px" @cancel="emit('close')">
    <form class="file" novalidate @submit.prevent="make">
      <TextField v-model="name" label="Name" :error="refusal?.at('name')" />
      <SwitchRow label="Read" :value="way" :choices="WAYS" @change="(one) => (way = String(one))" />
      <template v-if="way === 'path'">
        <label>
          <span class="eyebrow">The d of one closed path</span>
          <Textarea v-model:value="path" :auto-size="{ minRows: 3, maxRows: 8 }" />
        </label>
        <div class="pair">
          <NumberField
            label="Long, from left to right"
            unit="mm"
            :value="length"
            :error="refusal?.at('length_mm')"
            @commit="(v) => (length = v)"
          />
          <NumberField
            label="Height"
            unit="mm"
            :value="height"
            :error="refusal?.at('height_mm')"
            @commit="(v) => (height = v)"
          />
        </div>
      </template>
      <template v-else>
        <label>
          <span class="eyebrow">A closed body of what it holds, its floor lowest</span>
          <input type="file" accept=".stl" @change="choose" />
        </label>
        <SwitchRow
          label="Measured in"
          :value="unit"
          :choices="house.mesh_units.map((one) => ({ value: one, label: one }))"
          @change="(one) => (unit = String(one))"
        />
        <p class="quiet">An STL file does not say in what it is measured.</p>
      </template>
      <p v-if="refusal" class="wrong" role="alert">{{ refusal.detail }}</p>
      <button class="deed main" type="submit" :disabled="busy">Read it</button>
    </form>
  </Modal>
</template>

<style scoped>
.file {
  display: grid;
  gap: 14px;
}

.pair {
  display: grid;
  gap: 10px;
  grid-template-columns: 1fr 1fr;
}
</style>
