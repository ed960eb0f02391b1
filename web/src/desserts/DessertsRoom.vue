<script setup lang="ts">
/** Compose a dessert: parts on the shelf, the cut on the board, what it takes on the ticket. */
import { computed, defineAsyncComponent, ref, watch } from 'vue'
import { useRouter } from 'vue-router'

import { know, useKnown } from '../api/known'
import { useRows } from '../api/shelves'
import EmptyState from '../kit/EmptyState.vue'
import ZoneFrame from '../kit/ZoneFrame.vue'
import { useCommands } from '../shell/commands'
import { useSession } from '../shell/session'
import DessertBoard from './DessertBoard.vue'
import DessertShelf from './DessertShelf.vue'
import DessertTicket from './DessertTicket.vue'
import { formulasIn } from './parts'
import { useComposing } from './useComposing'

const NewDessert = defineAsyncComponent(() => import('./NewDessert.vue'))
const LAST = 'fernbell.last-dessert'

const props = defineProps<{ id?: string }>()
const router = useRouter()
const { mayWrite } = useSession()
const { rows: desserts, left, isSuccess } = useRows('desserts', { order: 'latest' })
const gone = ref<string>()
/** The dessert asked for; without one the product opens on the dessert last worked on. */
const id = computed(() => {
  if (props.id && props.id !== gone.value) return props.id
  const last = localStorage.getItem(LAST)
  if (left.value && last && last !== gone.value) return last
  return (desserts.value.find((one) => one.id === last) ?? desserts.value[0])?.id
})
const work = useComposing(() => id.value)
const making = ref(false)

watch(work.dessert.missing, (missing) => missing && (gone.value = id.value))
watch(id, (now) => now && localStorage.setItem(LAST, now), { immediate: true })

/** Why the figures may be of an earlier drawing. */
const stale = computed(() => {
  const problem = work.unsolved.value
  if (!problem) return undefined
  if (problem.status === 401) return 'you are signed out.'
  return problem.isSilence ? 'the server does not answer.' : 'something in this one is refused.'
})
watch(
  work.dessert.row,
  (row) => {
    if (!row) return
    know('formulas', row.made_of)
    know('molds', [{ id: row.mold, name: row.mold_name }])
  },
  { immediate: true },
)
const formulaOf = useKnown('formulas', () => formulasIn(work.view.value))

useCommands(() => [
  ...(mayWrite.value ? [{ name: 'Draw a new dessert', run: () => (making.value = true) }] : []),
  ...(id.value
    ? [
        {
          name: 'Sheets of this dessert, to pin up',
          keys: 's',
          run: () => router.push(`/desserts/${id.value}/sheets`),
        },
        {
          name: 'This dessert in other molds',
          keys: 'm',
          run: () => router.push(`/desserts/${id.value}/molds`),
        },
        {
          name: 'Cut this dessert from sheets',
          run: () => router.push(`/desserts/${id.value}/cut`),
        },
        {
          name: 'Templates at full size',
          run: () => router.push(`/desserts/${id.value}/templates`),
        },
      ]
    : []),
])
</script>

<template>
  <ZoneFrame
    v-if="work.view.value && id"
    :shown="id"
    shelf="Parts"
    board="The cut"
    ticket="What it takes"
  >
    <template #shelf>
      <DessertShelf
        :id="id"
        :work="work"
        :formula-of="formulaOf"
        :disabled="!mayWrite"
        @make="making = true"
      />
    </template>
    <DessertBoard :work="work" :formula-of="formulaOf" :disabled="!mayWrite" />
    <template #ticket>
      <DessertTicket
        v-if="work.worked.value"
        :id="id"
        :name="work.view.value.name ?? ''"
        :worked="work.worked.value"
        :stale="stale"
        :refused="work.problem.value?.status === 422"
        :count="work.view.value.count ?? 1"
        :count-error="work.errorAt('count')"
        :chosen="work.chosen.value"
        :disabled="!mayWrite"
        @count="(count) => work.edit({ count })"
        @choose="work.choose"
      />
      <p v-else-if="work.unsolved.value" class="slip wrong">{{ work.unsolved.value.message }}</p>
    </template>
  </ZoneFrame>
  <EmptyState
    v-else-if="isSuccess && !desserts.length"
    title="No dessert yet"
    text="Draw the first one: choose a ring, then lay in base, insert, mousse and glaze. Every gram follows the drawing."
  >
    <button v-if="mayWrite" class="deed main" type="button" @click="making = true">
      Draw a dessert
    </button>
  </EmptyState>
  <NewDessert v-if="making" @close="making = false" />
</template>
