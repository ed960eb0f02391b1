<script setup lang="ts">
/** A new dessert: its name, and a mold from the wall or a ring measured now. */
import Modal from 'ant-design-vue/es/modal'
import { computed, ref } from 'vue'
import { useRouter } from 'vue-router'

import { Problem, refusalOf } from '../api/client'
import { useKnown } from '../api/known'
import { useRows, useWrites } from '../api/shelves'
import RowChoice from '../kit/RowChoice.vue'
import NumberField from '../kit/NumberField.vue'
import TextField from '../kit/TextField.vue'
import { useFirstFocus } from '../kit/useFirstFocus'
import KindPicker from './KindPicker.vue'
import { useBegin, useKinds } from './useBegin'
import { entryOf } from './useDessert'

const emit = defineEmits<{ close: [] }>()
const router = useRouter()
const { rows: molds, isSuccess, suspense } = useRows('molds')
const { create } = useWrites('desserts')
const { create: createMold } = useWrites('molds')
const NEW_RING = 'new'
const name = ref('')
const first = ref<InstanceType<typeof TextField> | null>(null)
useFirstFocus(first)
const picked = ref<string>()
const ring = ref<{ diameter: number | null; height: number | null }>({
  diameter: null,
  height: null,
})
const { copy, change } = useWrites('desserts')
/** Of a kind, from nothing, or an example of the kitchen to change. */
const KIND = ''
const NOTHING = 'empty'
const like = ref(KIND)
const BEGINNINGS = [
  { value: KIND, label: 'a kind of dessert' },
  { value: NOTHING, label: 'an empty mold' },
]
const { data: kinds, suspense: kindsKnown } = useKinds()
const chosenKind = ref<string>()
const kind = computed(() => chosenKind.value ?? kinds.value?.[0]?.kind ?? '')
const kindSays = computed(() => kinds.value?.find((one) => one.kind === kind.value)?.text)
const begin = useBegin()
/** What was begun, and what the kitchen has no formula for yet. */
const lacking = ref<{ id: string; kinds: string[] } | null>(null)
const likeName = ref<string>()
/** A ring is the start. */
const usual = computed(
  () => molds.value.find((one) => one.form === 'ring')?.id ?? molds.value[0]?.id ?? NEW_RING,
)
const mold = computed(() => picked.value ?? (isSuccess.value ? usual.value : undefined))
const ANOTHER = [{ value: NEW_RING, label: 'Another ring, measured now' }]
const moldOf = useKnown('molds', () => (mold.value && mold.value !== NEW_RING ? [mold.value] : []))
const refusal = ref<Problem | null>(null)
const at = (field: string) => refusal.value?.at(field)
const named = computed(() => refusal.value?.errors.some((one) => KNOWN.has(one.field)))
const KNOWN = new Set(['name', 'shape.diameter_mm', 'shape.height_mm'])

async function make() {
  refusal.value = null
  try {
    if (lacking.value) return await open(lacking.value.id, true)
    if (like.value === KIND) return await begun()
    if (like.value !== NOTHING) return await open(await copied(), false)
    // Whoever is faster than the list of molds waits for it here.
    await suspense()
    const into = mold.value === NEW_RING ? await measured() : mold.value
    if (!into) return
    const row = await create.mutateAsync({ name: name.value, mold: into })
    await open(row.id, true)
  } catch (error) {
    refusal.value = refusalOf(error)
  }
}

async function begun() {
  await kindsKnown()
  const made = await begin(kind.value, name.value)
  if (!made.lacking.length) return await open(made.dessert.id, false)
  lacking.value = { id: made.dessert.id, kinds: made.lacking }
}

async function open(id: string, fresh: boolean) {
  emit('close')
  await router.push({ path: `/desserts/${id}`, state: { fresh } })
}

/** An example under a name of its own; without a name it stays a copy. */
async function copied(): Promise<string> {
  const row = await copy.mutateAsync(like.value)
  if (!name.value.trim()) return row.id
  await change.mutateAsync({
    id: row.id,
    revision: row.revision,
    data: { ...entryOf(row), name: name.value },
  })
  return row.id
}

/** The ring is hung on the wall first; should the dessert be refused, it is there to be chosen. */
async function measured(): Promise<string> {
  const { diameter, height } = ring.value
  const shape = { form: 'ring' as const, diameter_mm: diameter ?? 0, height_mm: height ?? 0 }
  const cm = (mm: number) => Number((mm / 10).toFixed(1))
  const title = `Ring ${cm(shape.diameter_mm)} cm, ${cm(shape.height_mm)} high`
  const row = await createMold.mutateAsync({ name: title, shape, cavities: 1, note: '' })
  picked.value = row.id
  return row.id
}
</script>

<template>
  <Modal open title="A new dessert" :footer="null" width="620px" @cancel="emit('close')">
    <form class="new" novalidate @submit.prevent="make">
      <TextField ref="first" v-model="name" label="Name" :error="at('name')" />
      <label>
        <span class="eyebrow">Begin with</span>
        <RowChoice
          v-model:value="like"
          :options="BEGINNINGS"
          :label="likeName"
          shelf="desserts"
          :says="(one) => ({ value: one.id, label: `like ${one.name}` })"
          class="mold"
          @row="(one) => (likeName = `like ${one.name}`)"
        />
      </label>
      <template v-if="like === KIND">
        <KindPicker :value="kind" :kinds="kinds ?? []" @change="(one) => (chosenKind = one)" />
        <p class="quiet says">{{ kindSays }}</p>
      </template>
      <p v-if="lacking" class="quiet" role="status">
        Drawn without its {{ lacking.kinds.join(', ') }}: no formula of that kind is written yet.
      </p>
      <label v-if="molds.length && like === NOTHING">
        <span class="eyebrow">Made in</span>
        <RowChoice
          :value="mold ?? ''"
          :label="moldOf(mold ?? '')?.name ?? '…'"
          :options="ANOTHER"
          shelf="molds"
          class="mold"
          @change="(id) => (picked = String(id))"
        />
      </label>
      <div v-if="mold === NEW_RING && like === NOTHING" class="ring">
        <NumberField
          label="Ring across, inside"
          unit="mm"
          placeholder="180"
          :value="ring.diameter"
          :error="at('shape.diameter_mm')"
          @commit="(v) => (ring = { ...ring, diameter: v })"
        />
        <NumberField
          label="Height"
          unit="mm"
          placeholder="45"
          :value="ring.height"
          :error="at('shape.height_mm')"
          @commit="(v) => (ring = { ...ring, height: v })"
        />
      </div>
      <p v-if="refusal && !named" class="wrong" role="alert">{{ refusal.detail }}</p>
      <button class="deed main" type="submit" :disabled="create.isPending.value">
        {{ lacking ? 'Open it' : 'Draw it' }}
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

.says {
  margin: -6px 0 0;
}

.ring {
  display: grid;
  gap: 10px;
  grid-template-columns: 1fr 1fr;
}
</style>
