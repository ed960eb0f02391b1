<script setup lang="ts">
/** A list is pasted, shown as it was understood, and taken only then. */
import { Textarea } from 'ant-design-vue/es/input'
import Modal from 'ant-design-vue/es/modal'
import { ref, watch } from 'vue'

import { Problem } from '../api/client'

const props = defineProps<{
  title: string
  label: string
  placeholder: string
  /** Asks what a text means. */
  look: (text: string) => Promise<void>
  /** Takes what was understood. */
  add: () => Promise<void>
  /** Whether the text was looked at, and how many lines of it would be taken. */
  read: boolean
  taken: number
  action: string
  start?: string
}>()
const emit = defineEmits<{ close: []; changed: [] }>()
const text = ref(props.start ?? '')
const refusal = ref('')
const busy = ref(false)
watch(text, () => emit('changed'))

async function go() {
  refusal.value = ''
  busy.value = true
  try {
    await (props.read ? props.add() : props.look(text.value))
  } catch (error) {
    if (!(error instanceof Problem)) throw error
    refusal.value = error.detail
  } finally {
    busy.value = false
  }
}
if (props.start) void go()
</script>

<template>
  <Modal open :title="title" :footer="null" width="760px" @cancel="emit('close')">
    <div class="paste">
      <label class="text">
        <span class="eyebrow">{{ label }}</span>
        <Textarea
          v-model:value="text"
          :auto-size="{ minRows: 4, maxRows: read ? 4 : 12 }"
          :placeholder="placeholder"
        />
      </label>
      <div v-if="read" class="understood"><slot /></div>
      <p v-if="refusal" class="wrong" role="alert">{{ refusal }}</p>
      <!-- One button for both steps: it keeps the focus. -->
      <div class="ends">
        <button
          type="button"
          class="deed main"
          :disabled="(read ? !taken : !text.trim()) || busy"
          @click="go"
        >
          {{ read ? action : 'Show what is understood' }}
        </button>
        <slot name="aside" />
      </div>
    </div>
  </Modal>
</template>

<style scoped>
.paste {
  display: grid;
  gap: 12px;
}

.text {
  display: grid;
  gap: 3px;
}

.understood {
  max-height: 46vh;
  overflow-y: auto;
}

.ends {
  align-items: center;
  display: flex;
  gap: 12px;
}
</style>
