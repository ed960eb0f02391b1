<script setup lang="ts">
/** Orders: what is made and when, in which batches, what is set out and what is bought. */
import { computed, ref, watch } from 'vue'
import { useRouter } from 'vue-router'

import { refusalOf } from '../api/client'
import { useRows, useWrites } from '../api/shelves'
import EmptyState from '../kit/EmptyState.vue'
import RowList from '../kit/RowList.vue'
import SwitchRow from '../kit/SwitchRow.vue'
import UndoButtons from '../kit/UndoButtons.vue'
import { useUndo } from '../kit/useUndo'
import ZoneFrame from '../kit/ZoneFrame.vue'
import { undoCommands, useCommands } from '../shell/commands'
import { useSession } from '../shell/session'
import BatchCard from './BatchCard.vue'
import MiseBoard from './MiseBoard.vue'
import OrderTicket from './OrderTicket.vue'
import ShoppingBoard from './ShoppingBoard.vue'
import ConflictCard from './timeline/ConflictCard.vue'
import HandList from './timeline/HandList.vue'
import ServicesFields from './timeline/ServicesFields.vue'
import TaskCard from './timeline/TaskCard.vue'
import TimelineTicket from './timeline/TimelineTicket.vue'
import TimelineView from './timeline/TimelineView.vue'
import { usePlanByHand } from './timeline/usePlanByHand'
import { useTimeline } from './timeline/useTimeline'
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
const undo = useUndo(() => id.value, order)
const plan = useTimeline(() => id.value)
const hand = usePlanByHand(order, plan, undo.edit)
const picked = ref<string | null>(null)
const VIEWS = [
  { value: 'timeline', label: 'Timeline' },
  { value: 'batches', label: 'Batches' },
  { value: 'mise', label: 'Set out' },
  { value: 'shopping', label: 'Shopping' },
] as const
type View = (typeof VIEWS)[number]['value']
const view = ref<View>('timeline')
watch(id, () => (picked.value = null))
const made = computed(() => (order.draft.value?.lines?.length ? planned.data.value : undefined))
const result = computed(() => plan.timeline.value?.result ?? null)
useCommands(() => [...undoCommands(undo, !mayWrite.value)])

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
      <HandList :disabled="!mayWrite" :off="hand.timing.value.off ?? []" @off="hand.turnOff" />
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
          @change="(v) => (view = v)"
        />
        <template v-if="view !== 'timeline' || !result?.board">
          <UndoButtons v-if="mayWrite" :undo="undo" />
          <RouterLink class="deed small" :to="`/plan/${id}/sheets`">Sheets to pin up</RouterLink>
        </template>
      </header>
      <p v-if="planned.error.value" class="wrong" role="alert">
        {{ planned.error.value.message }}
      </p>
      <p v-if="!order.draft.value.lines?.length" class="quiet">
        Put in the first dessert on the right.
      </p>
      <TimelineView
        v-if="view === 'timeline' && order.draft.value.lines?.length"
        :timeline="plan.timeline.value"
        :busy="plan.busy.value"
        :asking="plan.asking.value"
        :refused="plan.refused.value"
        :picked="picked"
        :disabled="!mayWrite"
        @ask="plan.ask(false)"
        @stop="plan.stop"
        @pick="(task) => (picked = task)"
        @move="(task, minute, person) => hand.move(task, minute, person)"
      >
        <template #tools>
          <span class="both">
            <UndoButtons v-if="mayWrite" :undo="undo" />
            <RouterLink class="deed small" :to="`/plan/${id}/sheets`">Sheets to pin up</RouterLink>
          </span>
        </template>
        <ConflictCard
          v-if="result?.conflict"
          :conflict="result.conflict"
          :busy="plan.busy.value"
          :disabled="!mayWrite"
          @take="hand.takeWay"
        />
      </TimelineView>
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
        <ShoppingBoard v-else-if="view === 'shopping'" :lines="made.mise" :cost="made.cost" />
      </template>
    </template>
    <template #ticket>
      <template v-if="order.draft.value && id">
        <TimelineTicket
          v-if="view === 'timeline'"
          :timeline="plan.timeline.value"
          :timing="hand.timing.value"
          :busy="plan.busy.value"
          :disabled="!mayWrite"
          @change="hand.change"
          @pick="(task) => (picked = task)"
        >
          <TaskCard
            v-if="picked && result?.board"
            :board="result.board"
            :task="picked"
            :looks="result.looks"
            :held="Boolean(hand.timing.value.held?.[picked])"
            :disabled="!mayWrite"
            @hold="(change) => picked && hand.hold(picked, change)"
            @mark="(what) => picked && hand.mark(picked, what)"
          />
          <ServicesFields
            :timing="hand.timing.value"
            :problem="order.problem.value"
            :disabled="!mayWrite"
            @change="hand.change"
          />
        </TimelineTicket>
        <OrderTicket
          :entry="order.draft.value"
          :planned="made"
          :problem="order.problem.value"
          :disabled="!mayWrite"
          @change="(changed) => undo.edit(changed)"
        />
      </template>
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
  margin-bottom: 10px;
}

.both {
  display: flex;
  gap: 6px;
}

.cards {
  display: grid;
  gap: 12px;
  padding-bottom: 20px;
}
</style>
