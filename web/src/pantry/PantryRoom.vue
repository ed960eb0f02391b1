<script setup lang="ts">
/** Ingredients: what they are called, weigh, cost, are made of and have to declare. */
import { defineAsyncComponent, ref } from 'vue'
import { useRouter } from 'vue-router'

import { refusalOf } from '../api/client'
import { useRows, useWrites } from '../api/shelves'
import EmptyState from '../kit/EmptyState.vue'
import RowList from '../kit/RowList.vue'
import ZoneFrame from '../kit/ZoneFrame.vue'
import { useCommands } from '../shell/commands'
import { useSession } from '../shell/session'
import IngredientEditor from './IngredientEditor.vue'
import IngredientTicket from './IngredientTicket.vue'
import UsualWords from './UsualWords.vue'

const PastePantry = defineAsyncComponent(() => import('./PastePantry.vue'))
const props = defineProps<{ id?: string }>()
const router = useRouter()
const { mayWrite } = useSession()
const { rows, left, more, isSuccess } = useRows('ingredients')
const { create } = useWrites('ingredients')
const pasting = ref(false)
useCommands(() =>
  mayWrite.value
    ? [{ name: 'Paste ingredients', keys: 'p', run: () => (pasting.value = true) }]
    : [],
)

async function make(name: string) {
  try {
    const row = await create.mutateAsync({ name })
    await router.push(`/pantry/${row.id}`)
  } catch (error) {
    // Shown under the list.
    refusalOf(error)
  }
}
</script>

<template>
  <ZoneFrame :shown="props.id" shelf="Ingredients" board="Pantry" ticket="What it is">
    <template #shelf>
      <RowList
        :id="props.id"
        :items="rows"
        :left="left"
        room="pantry"
        shelf="ingredients"
        noun="ingredient"
        :can-make="mayWrite"
        :error="create.error.value?.message"
        @make="make"
        @more="more"
      >
        <template #make>Add an ingredient</template>
        <template #above>
          <RouterLink to="/pantry" class="deed dashed">What bare words mean here</RouterLink>
          <button v-if="mayWrite" type="button" class="deed dashed" @click="pasting = true">
            Paste a list
          </button>
        </template>
      </RowList>
      <PastePantry v-if="pasting" @close="pasting = false" />
    </template>
    <IngredientEditor v-if="props.id" :id="props.id" :key="props.id" :disabled="!mayWrite" />
    <UsualWords v-else-if="rows.length" :disabled="!mayWrite" />
    <EmptyState
      v-else-if="isSuccess"
      title="The pantry is empty"
      text="Add what you weigh: a name is enough to begin. With a density, volumes turn into grams."
    />
    <template #ticket>
      <IngredientTicket v-if="props.id" :id="props.id" />
      <p v-else class="slip quiet">
        A density is mass over volume: weigh a known volume of it. What a pack or an analysis says
        replaces what the pantry came with.
      </p>
    </template>
  </ZoneFrame>
</template>
