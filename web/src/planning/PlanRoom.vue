<script setup lang="ts">
/** Orders: what is made, in which batches, what is set out and what is bought. */
import { computed, ref, watch } from 'vue'
import { useRouter } from 'vue-router'

import { refusalOf } from '../api/client'
import { useRows, useWrites } from '../api/shelves'
import EmptyState from '../kit/EmptyState.vue'
import RowList from '../kit/RowList.vue'
import SwitchRow from '../kit/SwitchRow.vue'
import ZoneFrame from '../kit/ZoneFrame.vue'
import { useSession } from '../shell/session'
import BatchCard from './BatchCard.vue'
import MiseBoard from './MiseBoard.vue'
import OrderTicket from './OrderTicket.vue'
import ShoppingBoard from './ShoppingBoard.vue'
import { useOrder, usePlanned } from './usePlanning'
import VesselList from './VesselList.vue'

const props = defineProps<{ id?: string }>()
const router = useRouter()
const { mayWrite } = useSession()
const { rows, left, more, isSuccess } = useRows('orders', { order: 'latest' })
const { create } = useWrites('orders')
/** The order asked for; without one the one last worked on. */
const id = computed(() => props.id ?? rows.value[0]?.id)
const order = useOrder(() => id.value)
const planned = usePlanned(() => order.draft.value)
const VIEWS = [
  { value: 'batches', label: 'Batches' },
  { value: 'mise', label: 'Set out' },
  { value: 'shopping', label: 'Shopping' },
] as const
const view = ref<'batches' | 'mise' | 'shopping'>('batches')
watch(id, () => (view.value = 'batches'))
const made = computed(() => (order.draft.value?.lines?.length ? planned.data.value : undefined))

async function make(name: string) {
  try {
    const row = await create.mutateAsync({ name, lines: [] })
    await router.push(`/plan/${row.id}`)
  } catch (error) {
    // Shown under the list.
    refusalOf(error)
  }
}
</script>

<template>
  <ZoneFrame :shown="id" shelf="Orders" board="The making" ticket="The order">
    <template #shelf>
      <RowList
        :id="id"
        :items="rows"
        :left="left"
        room="plan"
        shelf="orders"
        noun="order"
        :can-make="mayWrite"
        :error="create.error.value?.message"
        @make="make"
        @more="more"
      >
        <template #make>Begin an order</template>
      </RowList>
      <VesselList :disabled="!mayWrite" />
    </template>
    <EmptyState
      v-if="isSuccess && !id"
      title="No order yet"
      text="Begin one, put in desserts and how many: every formula is made once for all of them, in batches your bowls can hold."
    />
    <template v-else-if="order.draft.value">
      <header class="over no-print">
        <h1>{{ order.draft.value.name }}</h1>
        <SwitchRow
          label="What is shown"
          :value="view"
          :choices="[...VIEWS]"
          @change="(v) => (view = v as typeof view)"
        />
        <RouterLink class="deed small" :to="`/plan/${id}/sheets`">Sheets to pin up</RouterLink>
      </header>
      <p v-if="planned.error.value" class="wrong" role="alert">
        {{ planned.error.value.message }}
      </p>
      <p v-if="!order.draft.value.lines?.length" class="quiet">
        Put in the first dessert on the right.
      </p>
      <template v-if="made">
        <ol
          v-if="view === 'batches'"
          class="list cards"
          aria-label="Formulas in the order of making"
        >
          <li v-for="one in made.made" :key="one.page.sheet.formula">
            <BatchCard :made="one" />
          </li>
        </ol>
        <MiseBoard v-else-if="view === 'mise'" :lines="made.mise" />
        <ShoppingBoard v-else :lines="made.mise" :cost="made.cost" />
      </template>
    </template>
    <template #ticket>
      <OrderTicket
        v-if="order.draft.value && id"
        :entry="order.draft.value"
        :planned="made"
        :problem="order.problem.value"
        :disabled="!mayWrite"
        @change="(changed) => order.edit(changed)"
      />
    </template>
  </ZoneFrame>
</template>

<style scoped>
.over {
  align-items: center;
  display: flex;
  flex-wrap: wrap;
  gap: 6px 16px;
  justify-content: space-between;
  margin-bottom: 12px;
}

.cards {
  display: grid;
  gap: 12px;
  padding-bottom: 20px;
}
</style>
