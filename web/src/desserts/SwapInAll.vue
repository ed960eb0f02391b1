<script setup lang="ts">
/** One ingredient for another in every formula of the dessert at once. */
import Modal from 'ant-design-vue/es/modal'
import { computed, ref } from 'vue'

import SwapChoice from '../formulas/setting/SwapChoice.vue'
import SwapPairs from '../formulas/setting/SwapPairs.vue'
import { useSwapInAll } from './useSwapInAll'

const props = defineProps<{ id: string; name: string }>()
const emit = defineEmits<{ close: [] }>()
const old = ref<string | undefined>(undefined)
const comes = ref<string | undefined>(undefined)
const pair = computed(() =>
  old.value && comes.value ? { old: old.value, new: comes.value } : null,
)
const { used, weighed, found, changed, refusal, takeIt } = useSwapInAll(
  () => props.id,
  () => pair.value,
)
const goes = computed(() =>
  (used.data.value ?? []).map((one) => ({ value: one.id, label: one.name })),
)
/** Whatever else the formulas are in changes with them. */
const elsewhere = computed(() => [
  ...new Set(found.value.flatMap((one) => one.used_by.filter((name) => name !== props.name))),
])
</script>

<template>
  <Modal
    open
    title="One for another, everywhere in it"
    :footer="null"
    width="880px"
    @cancel="emit('close')"
  >
    <div class="swap">
      <p v-if="changed" role="status">
        Changed: {{ changed.join(', ') }}. Each has a revision to go back to.
      </p>
      <template v-else>
        <SwapChoice v-model:old="old" v-model:comes="comes" :goes="goes" />
        <p v-if="weighed.error.value" class="wrong" role="alert">
          {{ weighed.error.value.message }}
        </p>
        <p v-else-if="pair && weighed.isFetching.value" class="quiet" role="status">
          Weighing it up …
        </p>
        <section v-for="one in found" :key="one.formula" :aria-label="one.name">
          <h3>{{ one.name }}</h3>
          <SwapPairs :swap="one.swap" :name="one.name" />
        </section>
        <template v-if="found.length">
          <p v-if="elsewhere.length" class="quiet">
            These formulas change for {{ elsewhere.join(', ') }} too.
          </p>
          <p v-if="refusal" class="wrong" role="alert">{{ refusal }}</p>
          <p class="ends">
            <button type="button" class="deed" @click="takeIt('straight')">
              Take straight in {{ found.length }}
            </button>
            <button type="button" class="deed main" @click="takeIt('rebalanced')">
              Take rebalanced in {{ found.length }}
            </button>
          </p>
        </template>
      </template>
    </div>
  </Modal>
</template>

<style scoped>
.swap,
section {
  display: grid;
  gap: 12px;
}

.ends {
  display: flex;
  gap: 10px;
  justify-content: flex-end;
}
</style>
