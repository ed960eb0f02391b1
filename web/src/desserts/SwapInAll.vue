<script setup lang="ts">
/** One ingredient for another in every formula of the dessert at once. */
import { useQuery, useQueryClient } from '@tanstack/vue-query'
import Modal from 'ant-design-vue/es/modal'
import { computed, ref } from 'vue'

import { api, Problem, take } from '../api/client'
import type { DessertSwap } from '../api/types'
import SwapChoice from '../formulas/setting/SwapChoice.vue'
import SwapPairs from '../formulas/setting/SwapPairs.vue'

const props = defineProps<{ id: string; name: string }>()
const emit = defineEmits<{ close: [] }>()
const client = useQueryClient()
const old = ref<string | undefined>(undefined)
const comes = ref<string | undefined>(undefined)
const refusal = ref('')
const changed = ref<string[] | null>(null)
const params = () => ({ params: { path: { row_id: props.id } } })
const used = useQuery({
  shallow: true,
  queryKey: ['worked out', 'dessert ingredients', () => props.id],
  queryFn: () => take(api.GET('/api/desserts/{row_id}/ingredients', params())),
})
const goes = computed(() =>
  (used.data.value ?? []).map((one) => ({ value: one.id, label: one.name })),
)
const pair = computed(() =>
  old.value && comes.value ? { old: old.value, new: comes.value } : null,
)
const weighed = useQuery({
  shallow: true,
  queryKey: ['worked out', 'dessert swap', () => props.id, pair],
  queryFn: () =>
    take<DessertSwap[]>(
      api.POST('/api/desserts/{row_id}/swap', {
        ...params(),
        body: pair.value as NonNullable<typeof pair.value>,
      }),
    ),
  enabled: () => Boolean(pair.value) && changed.value === null,
  retry: false,
})
const found = computed(() => (pair.value ? (weighed.data.value ?? []) : []))
/** Whatever else the formulas are in changes with them. */
const elsewhere = computed(() => [
  ...new Set(found.value.flatMap((one) => one.used_by.filter((name) => name !== props.name))),
])

async function takeIt(way: 'straight' | 'rebalanced') {
  if (!pair.value) return
  refusal.value = ''
  const revisions = Object.fromEntries(found.value.map((one) => [one.formula, one.revision]))
  const body = { ...pair.value, way, revisions }
  try {
    const taken = await take<{ changed: string[] }>(
      api.POST('/api/desserts/{row_id}/swap/take', { ...params(), body }),
    )
    changed.value = taken.changed
    await client.invalidateQueries()
  } catch (error) {
    if (!(error instanceof Problem)) throw error
    refusal.value = error.detail
  }
}
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
