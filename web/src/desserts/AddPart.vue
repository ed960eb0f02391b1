<script setup lang="ts">
/** Add a part by what it does, of a formula that is there or is written next. */
import Modal from 'ant-design-vue/es/modal'
import { computed, nextTick, ref } from 'vue'

import { refusalOf } from '../api/client'
import { house, ruleWords } from '../api/house'
import { know } from '../api/known'
import { useRows, useWrites } from '../api/shelves'
import type { FormulaBrief, Part } from '../api/types'
import RowChoice from '../kit/RowChoice.vue'
import { useSession } from '../shell/session'
import { useFirstFocus } from '../kit/useFirstFocus'

const props = defineProps<{
  /** What the dessert has already. */
  present: Part['rule'][]
  /** What parts usually do in its mold, from the first that is made. */
  expects?: string[]
  /** Name of the insert a layer is added to, instead of a part. */
  layerOf?: string | undefined
  /** Its rule. */
  rule?: Part['rule'] | undefined
  /** Why the server would not have it. */
  refusal?: string
}>()
const emit = defineEmits<{
  /** `write`: its lines are written next. */
  add: [rule: Part['rule'], formula: string, write: boolean]
  stack: [id: string, count: number]
  close: []
}>()

type Rule = Part['rule']
/** What there is only one of, and it is there. */
const taken = (key: string) =>
  Boolean(ruleWords(key)?.once) && props.present.some((one) => one === key)
const expected = (key: string) => props.expects?.includes(key) ?? false
/** What is usual in such a mold comes before what may be there too. */
const rules = computed(() => {
  const usual = (props.expects ?? []).flatMap((key) => ruleWords(key) ?? [])
  return [...usual, ...house.value.rules.filter((one) => !expected(one.rule))]
})
/** Of those the first that is not there yet is proposed. */
const missingRule = rules.value.find(({ rule }) => !props.present.some((one) => one === rule))
const rule = ref((props.layerOf ? props.rule : (missingRule ?? rules.value.at(-1))?.rule) as Rule)
const madeOf = ref<{ focus: () => void } | null>(null)
const submit = ref<HTMLButtonElement | null>(null)
useFirstFocus(madeOf)
const formula = ref<string | null>(null)
const name = ref('')
const missing = ref('')
const { create } = useWrites('formulas')
const { rows: stacks } = useRows('stacks')
const { archive } = useWrites('stacks')
const { isChef } = useSession()

const options = computed(() => {
  const typed = name.value.trim()
  return typed ? [{ value: 'new', label: `Write a new formula: ${typed}`, unless: typed }] : []
})
/** Once chosen by hand, the job is no longer guessed from the formula. */
let touched = false
function pickRule(key: Rule) {
  touched = true
  rule.value = key
}

const isNew = computed(() => formula.value === 'new')
async function add(write = isNew.value) {
  missing.value = ''
  if (!formula.value) {
    missing.value = 'Choose a formula, or type the name of a new one and pick it.'
    return
  }
  try {
    const id = formula.value === 'new' ? await written() : formula.value
    emit('add', rule.value, id, write)
  } catch (error) {
    missing.value = refusalOf(error).detail
  }
}

async function written(): Promise<string> {
  const row = await create.mutateAsync({ name: newName.value, does: rule.value })
  return row.id
}

const plainly = computed(() => (props.layerOf ? 'Add the layer' : 'Add the part'))
const newName = ref('')
function choose(value: unknown) {
  if (value === 'new') newName.value = name.value.trim()
  formula.value = String(value)
  void nextTick(() => submit.value?.focus())
}
const picked = ref<FormulaBrief>()
function known(row: FormulaBrief) {
  picked.value = row
  know('formulas', [row])
  const usual = row.does as Rule | ''
  if (usual && !touched && !taken(usual)) rule.value = usual
}
const label = computed(() => (isNew.value ? `New formula: ${newName.value}` : picked.value?.name))
</script>

<template>
  <Modal
    open
    :title="layerOf ? `Add a layer to ${layerOf}` : 'Add a part'"
    :footer="null"
    width="560px"
    @cancel="emit('close')"
  >
    <form class="add" @submit.prevent="add()">
      <fieldset v-if="!layerOf">
        <legend class="eyebrow">What it does</legend>
        <label
          v-for="one in rules"
          :key="one.rule"
          :class="['does', { picked: rule === one.rule, off: taken(one.rule) }]"
        >
          <input
            type="radio"
            name="rule"
            :value="one.rule"
            :checked="rule === one.rule"
            :disabled="taken(one.rule)"
            @change="pickRule(one.rule as Rule)"
            @click="$event.detail && madeOf?.focus()"
          />
          <strong>{{ one.title }}</strong>
          <span class="quiet">
            {{ taken(one.rule) ? 'this dessert has one already' : one.text }}
          </span>
        </label>
      </fieldset>
      <label>
        <span class="eyebrow">Made of</span>
        <RowChoice
          ref="madeOf"
          :value="formula ?? undefined"
          :label="label"
          :options="options"
          shelf="formulas"
          placeholder="Choose a formula, or type a new name"
          class="made-of"
          @search="(typed: string) => typed && (name = typed)"
          @row="known"
          @change="choose"
        />
      </label>
      <p v-if="missing || refusal" class="wrong" role="alert">{{ missing || refusal }}</p>
      <span class="ends">
        <button ref="submit" class="deed main" type="submit" :disabled="create.isPending.value">
          {{ isNew ? 'Add it and write its lines' : plainly }}
        </button>
        <button v-if="isNew" class="deed" type="button" @click="add(false)">{{ plainly }}</button>
      </span>
      <fieldset v-if="stacks.length && !layerOf" class="stacks">
        <legend class="eyebrow">Or one of your stacks</legend>
        <span v-for="one in stacks" :key="one.id" class="stack">
          <button type="button" class="deed" @click="emit('stack', one.id, one.parts.length)">
            {{ one.name }}
          </button>
          <button
            v-if="isChef"
            type="button"
            class="deed small"
            :aria-label="`Archive the stack ${one.name}`"
            @click="archive.mutate(one.id)"
          >
            ×
          </button>
        </span>
      </fieldset>
    </form>
  </Modal>
</template>

<style scoped>
.ends {
  display: grid;
  gap: 8px;
  grid-auto-columns: 1fr;
  grid-auto-flow: column;
}

.add {
  display: grid;
  gap: 14px;
}

fieldset {
  border: 0;
  display: grid;
  gap: 8px;
  grid-template-columns: 1fr 1fr;
  margin: 0;
  padding: 0;
}

.stacks {
  display: flex;
  flex-wrap: wrap;
}

.stack {
  align-items: center;
  display: flex;
  gap: 3px;
}

.does {
  border: 1px solid var(--leaf-strong);
  border-radius: var(--round);
  cursor: pointer;
  display: grid;
  padding: 8px 12px;
}

.does input {
  height: 1px;
  opacity: 0;
  position: absolute;
  width: 1px;
}

.does:focus-within {
  outline: 2px solid var(--bronze);
  outline-offset: 2px;
}

.does.picked {
  background: var(--bronze-wash);
  border-color: var(--bronze);
}

.does.off {
  cursor: default;
  opacity: 0.55;
}

.made-of {
  width: 100%;
}
</style>
