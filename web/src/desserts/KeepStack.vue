<script setup lang="ts">
/** Keep parts of this dessert as a stack of one's own, to be used in another. */
import Checkbox from 'ant-design-vue/es/checkbox'
import Modal from 'ant-design-vue/es/modal'
import { computed, ref } from 'vue'

import { Problem, refusalOf } from '../api/client'
import { useWrites } from '../api/shelves'
import type { Part } from '../api/types'
import TextField from '../kit/TextField.vue'
import type { Composing } from './useComposing'

const props = defineProps<{ work: Composing; part: Part }>()
const emit = defineEmits<{ close: [] }>()
const { create } = useWrites('stacks')
const name = ref('')
const picked = ref(new Set([props.part.key]))
const problem = computed(() => (create.error.value instanceof Problem ? create.error.value : null))

const parts = computed(() => props.work.view.value?.parts ?? [])
const nameOf = (part: Part) =>
  props.work.solved.value?.parts
    .filter((one) => one.part === part.key)
    .map((one) => one.name)
    .join(' on ') ?? ''

function toggle(key: string) {
  const next = new Set(picked.value)
  if (!next.delete(key)) next.add(key)
  picked.value = next
}

async function keep() {
  const shape = props.work.worked.value?.shape
  if (!shape) return
  try {
    const kept = parts.value.filter((one) => picked.value.has(one.key))
    await create.mutateAsync({ name: name.value, shape, parts: kept })
    emit('close')
  } catch (error) {
    // Shown at its field.
    refusalOf(error)
  }
}
</script>

<template>
  <Modal open title="Keep as a stack" :footer="null" width="440px" @cancel="emit('close')">
    <form class="keep" novalidate @submit.prevent="keep">
      <p class="quiet">
        In another dessert it keeps its thicknesses and its gap to the wall, and stands on what is
        there already.
      </p>
      <TextField v-model="name" label="Name of the stack" :error="problem?.at('name')" />
      <fieldset>
        <legend class="eyebrow">Parts, from the top down</legend>
        <Checkbox
          v-for="one in parts"
          :key="one.key"
          :checked="picked.has(one.key)"
          @change="toggle(one.key)"
        >
          {{ nameOf(one) }}
        </Checkbox>
      </fieldset>
      <p v-if="problem && !problem.at('name')" class="wrong" role="alert">{{ problem.detail }}</p>
      <button class="deed main" type="submit" :disabled="!picked.size || create.isPending.value">
        Keep it
      </button>
    </form>
  </Modal>
</template>

<style scoped>
.keep {
  display: grid;
  gap: 14px;
}

fieldset {
  border: 0;
  display: grid;
  gap: 6px;
  margin: 0;
  padding: 0;
}

fieldset :deep(.ant-checkbox-wrapper) {
  margin-inline-start: 0;
}
</style>
