<script setup lang="ts">
/** One mold: what each part takes there, and what one factor for all would have cost. */
import { computed, ref } from 'vue'

import type { Keep, MoldResized } from '../api/types'
import { newKey } from '../desserts/parts'
import { useDessert } from '../desserts/useDessert'
import { figure } from '../kit/format'
import WorkedFigure from '../kit/WorkedFigure.vue'
import { useSession } from '../shell/session'
import { useInto } from './useScaling'

const props = defineProps<{ id: string; keep: Keep; brief: MoldResized }>()
const { mayWrite } = useSession()
const into = useInto(
  () => props.id,
  () => props.brief.mold,
  () => props.keep,
)
const there = computed(() => into.data.value?.there)
const dessert = useDessert(() => props.id)
const added = ref('')

const signed = (grams: number) => `${grams < 0 ? '−' : '+'}${figure(Math.abs(grams), 0)}`
const large = computed(() =>
  Math.max(1, ...(there.value?.parts ?? []).map((one) => Math.abs(one.over?.value ?? 0))),
)
const bar = (grams: number) => {
  const long = (Math.abs(grams) / large.value) * 50
  return { left: `${grams < 0 ? 50 - long : 50}%`, width: `${long}%` }
}

/** One more size of the dessert, made in this mold. */
async function add() {
  const draft = dessert.draft.value
  if (!draft) return
  const own = into.data.value?.parts ?? null
  const portions =
    props.keep === 'portions' && there.value?.portion
      ? { cut: 'by weight' as const, portion_g: Math.round(there.value.portion.value) }
      : null
  const size = {
    key: newKey(),
    mold: props.brief.mold,
    count: there.value?.count ?? 1,
    parts: own,
    portions,
  }
  await dessert.edit({ sizes: [...(draft.sizes ?? []), size] })
  if (!dessert.problem.value) added.value = props.brief.mold
}
</script>

<template>
  <section class="slip" aria-label="One mold">
    <h2>{{ props.brief.name }}</h2>
    <p class="quiet">{{ props.brief.says }}</p>
    <p v-if="props.brief.refused" class="wrong">{{ props.brief.refused }}</p>
    <template v-else-if="there">
      <dl>
        <div>
          <dt>Holds</dt>
          <dd><WorkedFigure :working="there.one_factor ?? null" unit="×" /></dd>
        </div>
        <div>
          <dt>A portion</dt>
          <dd><WorkedFigure :working="there.portion ?? null" /></dd>
        </div>
        <div v-if="props.brief.fills">
          <dt>There is enough for</dt>
          <dd><WorkedFigure :working="props.brief.fills" unit="" /></dd>
        </div>
        <div>
          <dt>For the same guests</dt>
          <dd>
            <strong>{{ there.count }}</strong> × {{ there.portions }}
          </dd>
        </div>
      </dl>
      <ul v-if="there.short.length" class="list short">
        <li v-for="(one, i) in there.short" :key="i">
          <strong>{{ one.message }}</strong> {{ one.remedy }}
        </li>
      </ul>
      <table class="takes" aria-label="Each part in this mold">
        <thead>
          <tr class="eyebrow">
            <th scope="col">part, by its own rule</th>
            <th scope="col" class="num">one takes</th>
            <th scope="col" class="num">one factor</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="one in there.parts" :key="`${one.part}/${one.layer}`">
            <th scope="row">
              {{ one.name }}
              <em v-if="one.factor !== null">× {{ figure(one.factor, 2) }} {{ one.goes_by }}</em>
              <em v-else>{{ one.goes_by }}</em>
            </th>
            <td><WorkedFigure :working="one.mass" /></td>
            <td class="over">
              <template v-if="one.over">
                <WorkedFigure :working="one.over" :text="signed(one.over.value)" />
                <span class="beam" aria-hidden="true">
                  <i :class="{ lack: one.over.value < 0 }" :style="bar(one.over.value)" />
                </span>
              </template>
            </td>
          </tr>
        </tbody>
      </table>
      <p v-if="!props.brief.own" class="cost">
        One factor for everything would leave
        <strong>{{ figure(there.left_g ?? 0, 0) }} g</strong> over and be
        <strong>{{ figure(there.lack_g ?? 0, 0) }} g</strong> short, in each.
      </p>
      <div v-if="mayWrite && !props.brief.own" class="deeds">
        <button
          type="button"
          class="deed main"
          :disabled="
            added === props.brief.mold || dessert.saving.value || into.isPlaceholderData.value
          "
          @click="add"
        >
          {{
            added === props.brief.mold
              ? 'It is a size of this dessert now'
              : `Make ${there.count} in this mold too`
          }}
        </button>
        <p v-if="dessert.problem.value" class="wrong" role="alert">
          {{ dessert.problem.value.detail }}
        </p>
      </div>
    </template>
  </section>
</template>

<style scoped>
dl {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 16px;
  margin: 10px 0;
}

dt {
  color: var(--muted);
  font-size: 13px;
}

dd {
  margin: 0;
}

.short {
  background: var(--brick-wash);
  border: 1px solid var(--brick-rule);
  border-radius: var(--round);
  font-size: 14px;
  line-height: 1.3;
  margin: 8px 0;
  padding: 7px 10px;
}

.short li + li {
  margin-top: 5px;
}

.short strong {
  color: var(--brick);
}

.num {
  text-align: right;
}

thead th {
  vertical-align: bottom;
}

th em {
  color: var(--muted);
  display: block;
  font-size: 13px;
  font-style: normal;
}

.over {
  padding-left: 10px;
  width: 74px;
}

.beam {
  background: linear-gradient(var(--rule), var(--rule)) center / 1px 100% no-repeat;
  display: block;
  height: 5px;
  position: relative;
}

.beam i {
  background: var(--bronze);
  height: 5px;
  position: absolute;
}

.beam .lack {
  background: var(--brick);
}

.cost {
  font-size: 14px;
  line-height: 1.35;
  margin: 10px 0;
}

.deeds .deed {
  min-height: 36px;
  width: 100%;
}
</style>
