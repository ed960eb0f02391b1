<script setup lang="ts">
/** Part by part what it is measured by and what is made of it; then the whole. */
import type { WorkedOut } from '../api/types'
import { inShort } from '../kit/units'
import WorkedFigure from '../kit/WorkedFigure.vue'
import { type Chosen, sameChoice } from './parts'

defineProps<{ solved: WorkedOut['solved']; chosen: Chosen | null }>()
const emit = defineEmits<{ choose: [chosen: Chosen] }>()
</script>

<template>
  <table class="takes">
    <tbody>
      <tr
        v-for="part in solved.parts"
        :key="`${part.part}/${part.layer}`"
        :class="{ chosen: sameChoice(chosen, part) }"
      >
        <th scope="row">
          <button type="button" class="name" @click="emit('choose', part)">
            {{ part.name }}
          </button>
        </th>
        <td class="measure">
          <WorkedFigure :working="part.measure" v-bind="inShort(part.measure)" plain />
        </td>
        <td>
          <WorkedFigure :working="part.make" />
        </td>
      </tr>
      <tr v-for="one in solved.holds" :key="one.key">
        <th scope="row">{{ one.name }}</th>
        <td class="measure">{{ one.each }} on each</td>
        <td><WorkedFigure :working="one.mass ?? null" /></td>
      </tr>
    </tbody>
    <tfoot v-if="solved.parts.length || solved.holds.length">
      <tr>
        <th scope="row">Finished weight</th>
        <td class="quiet measure">one</td>
        <td><WorkedFigure :working="solved.finished" /></td>
      </tr>
      <tr v-if="solved.finished_all && solved.count > 1" class="all">
        <th scope="row">All {{ solved.count }}</th>
        <td></td>
        <td>
          <WorkedFigure :working="solved.finished_all" />
        </td>
      </tr>
    </tfoot>
  </table>
</template>

<style scoped>
tr.chosen {
  box-shadow: inset 3px 0 0 var(--bronze);
}

tr.chosen th {
  padding-left: 8px;
}

tfoot th {
  font-weight: 700;
}

tfoot tr.all {
  border: 0;
}

.name {
  background: none;
  border: 0;
  cursor: pointer;
  display: block;
  padding: 0;
  text-align: left;
}

td.measure {
  font-size: 13px;
  padding-right: 10px;
}

@media (max-width: 1100px) {
  tr {
    display: grid;
    grid-template-columns: 1fr auto;
    padding: 5px 0;
  }

  th,
  td {
    padding-block: 0;
  }

  tr.chosen {
    padding-left: 8px;
  }

  tr.chosen th {
    padding-left: 0;
  }

  td.measure {
    grid-area: 2 / 1;
    text-align: left;
  }

  td:empty {
    display: none;
  }
}
</style>
