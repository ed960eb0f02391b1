<script setup lang="ts">
/** Every key there is, those of this screen first. */
import Modal from 'ant-design-vue/es/modal'
import { computed } from 'vue'

import { allCommands } from './commands'

const emit = defineEmits<{ close: [] }>()
const here = computed(() =>
  allCommands.value.flatMap(({ name, keys }) => (keys ? [{ keys, name }] : [])),
)
const GROUPS = [
  {
    title: 'Everywhere',
    rows: [
      { keys: 'Ctrl K', name: 'What next? Go or do by typing' },
      { keys: '?', name: 'This list' },
      { keys: 'Tab', name: 'On to the next control; Shift Tab back' },
      { keys: 'Esc', name: 'Close what is open' },
    ],
  },
  {
    title: 'Parts in the list',
    rows: [
      { keys: '↑ ↓', name: 'Walk from part to part' },
      { keys: 'Alt ↑ ↓', name: 'Move the part' },
      { keys: 'Delete', name: 'Take the part out' },
    ],
  },
  {
    title: 'On the cut',
    rows: [
      { keys: 'Enter', name: 'Select the part that has the focus' },
      { keys: '← → ↑ ↓', name: 'Move a selected insert, or nudge the handle, by 1 mm' },
      { keys: 'Shift', name: 'With an arrow or a drag: by half a millimetre' },
    ],
  },
  {
    title: 'On the timeline',
    rows: [
      { keys: '↑ ↓', name: 'On to the next task of the lane' },
      { keys: 'Alt ↑ ↓', name: 'Begin it 5 min sooner or later; 30 with Shift' },
      { keys: 'Alt ← →', name: 'Hand it to the next person' },
    ],
  },
  {
    title: 'On the dial',
    rows: [
      { keys: '← →', name: 'A little softer or firmer; Page Up and Page Down by ten' },
      { keys: 'Home End', name: 'To the edges of the band its job asks for' },
    ],
  },
  {
    title: 'In a number',
    rows: [
      { keys: '↑ ↓', name: 'One step up or down; ten with Shift' },
      { keys: 'Enter', name: 'Take the number' },
    ],
  },
]
const groups = computed(() => [
  ...(here.value.length ? [{ title: 'On this screen', rows: here.value }] : []),
  ...GROUPS,
])
</script>

<template>
  <Modal open title="Keys" :footer="null" width="620px" @cancel="emit('close')">
    <div class="groups">
      <section v-for="(group, i) in groups" :key="i">
        <h3>{{ group.title }}</h3>
        <dl>
          <template v-for="(row, at) in group.rows" :key="at">
            <dt>
              <kbd>{{ row.keys }}</kbd>
            </dt>
            <dd>{{ row.name }}</dd>
          </template>
        </dl>
      </section>
    </div>
  </Modal>
</template>

<style scoped>
.groups {
  columns: 2;
  column-gap: 28px;
}

section {
  break-inside: avoid;
  margin-bottom: 14px;
}

dl {
  display: grid;
  gap: 4px 12px;
  grid-template-columns: auto 1fr;
  margin: 6px 0 0;
}

dd {
  margin: 0;
}

kbd {
  background: var(--porcelain-shade);
  border: 1px solid var(--rule);
  border-radius: 5px;
  font: 600 13px var(--face-text);
  padding: 1px 6px;
  white-space: nowrap;
}
</style>
