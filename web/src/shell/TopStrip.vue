<script setup lang="ts">
import Dropdown from 'ant-design-vue/es/dropdown'
import Menu, { MenuDivider, MenuItem } from 'ant-design-vue/es/menu'
import { computed, defineAsyncComponent, ref } from 'vue'

import { useRoute, useRouter } from 'vue-router'

import { useCommands } from './commands'
import NextService from './NextService.vue'
import { ROOMS } from './routes'
import { useSession } from './session'

const SettingsDialog = defineAsyncComponent(() => import('./SettingsDialog.vue'))
const MembersDialog = defineAsyncComponent(() => import('./MembersDialog.vue'))
const DoorDialog = defineAsyncComponent(() => import('./DoorDialog.vue'))
const KitchenDialog = defineAsyncComponent(() => import('./KitchenDialog.vue'))
const PasswordDialog = defineAsyncComponent(() => import('./PasswordDialog.vue'))

const router = useRouter()
const route = useRoute()
/** Sheets belong to the desserts, formulas side by side to the formulas. */
const isIn = (room: string) => route.path === room || route.path.startsWith(`${room}/`)
const emit = defineEmits<{ ask: []; keys: [] }>()
const { session, person, isChef, mayWrite, signOut, enterKitchen } = useSession()
const membersOpen = ref(false)
const settingsOpen = ref(false)
const passwordOpen = ref(false)
const doorOpen = ref(false)
const foundingOpen = ref(false)
/** The people of the demo kitchen come in with one click. */
const hasPassword = computed(() => {
  const shipped = session.value?.demo_people.map((one) => one.username) ?? []
  return person.value !== null && !shipped.includes(person.value.username)
})
useCommands(() => [{ name: 'How I read figures', run: () => (settingsOpen.value = true) }])
const initials = computed(() =>
  (person.value?.name ?? '')
    .split(/\s+/)
    .map((one) => one.charAt(0))
    .join(''),
)
const others = computed(() =>
  (person.value?.kitchens ?? []).filter((one) => one.id !== person.value?.kitchen.id),
)
</script>

<template>
  <header class="strip">
    <RouterLink to="/desserts" class="name">
      <img src="/bell.svg" alt="" width="28" height="28" />
      <span class="wide-only">Fern Bell</span>
    </RouterLink>
    <nav aria-label="Rooms">
      <RouterLink
        v-for="room in ROOMS"
        :key="room.to"
        :to="room.to"
        :class="['room-link', { here: isIn(room.to) }]"
      >
        {{ room.name }}
      </RouterLink>
    </nav>
    <NextService />
    <button type="button" class="ask" title="What next? (Ctrl K)" @click="emit('ask')">
      <span class="wide-only">What next?</span>
      <span class="narrow-only" aria-label="What next?">⌕</span>
      <kbd class="wide-only">Ctrl K</kbd>
    </button>
    <span v-if="!mayWrite" class="reads" title="An apprentice reads; a cook or the chef writes.">
      you read here
    </span>
    <Dropdown :trigger="['click']" placement="bottomRight">
      <button class="person" type="button">
        <span class="wide-only">{{ person?.kitchen.name }}</span>
        <strong class="wide-only">{{ person?.name }}</strong>
        <strong class="narrow-only" :aria-label="person?.name">{{ initials }}</strong>
        <span aria-hidden="true">▾</span>
      </button>
      <template #overlay>
        <Menu>
          <MenuItem v-if="isChef" key="members" @click="membersOpen = true">
            Members of the kitchen
          </MenuItem>
          <MenuItem v-for="one in others" :key="one.id" @click="enterKitchen.mutate(one.id)">
            Go to {{ one.name }}
          </MenuItem>
          <MenuItem key="read" @click="settingsOpen = true">How I read figures</MenuItem>
          <MenuItem v-if="hasPassword" key="password" @click="passwordOpen = true">
            Change my password
          </MenuItem>
          <MenuItem key="door" @click="doorOpen = true">How I come in</MenuItem>
          <MenuItem v-if="hasPassword" key="found" @click="foundingOpen = true">
            Found another kitchen
          </MenuItem>
          <MenuItem v-if="isChef" key="record" @click="router.push('/record')">
            What happened here
          </MenuItem>
          <MenuItem key="words" @click="router.push('/words')">What the words mean</MenuItem>
          <MenuItem key="keys" @click="emit('keys')">Keys</MenuItem>
          <MenuDivider />
          <MenuItem key="out" @click="signOut.mutate(undefined)">Sign out</MenuItem>
        </Menu>
      </template>
    </Dropdown>
    <SettingsDialog v-if="settingsOpen" @close="settingsOpen = false" />
    <PasswordDialog v-if="passwordOpen" @close="passwordOpen = false" />
    <DoorDialog v-if="doorOpen" :has-password="hasPassword" @close="doorOpen = false" />
    <KitchenDialog v-if="foundingOpen" @close="foundingOpen = false" />
    <MembersDialog v-if="membersOpen" @close="membersOpen = false" />
  </header>
</template>

<style scoped>
.strip {
  align-items: center;
  background: var(--fern);
  color: var(--strip-text);
  display: flex;
  gap: 28px;
  padding: 0 18px;
}

.name {
  align-items: center;
  color: var(--strip-text);
  display: flex;
  font: 700 20px var(--face-display);
  gap: 10px;
  text-decoration: none;
  white-space: nowrap;
}

nav {
  display: flex;
  flex: 1;
  gap: 4px;
  height: 100%;
}

.room-link {
  color: var(--leaf);
  display: grid;
  padding: 0 14px;
  place-items: center;
  position: relative;
  text-decoration: none;
}

.room-link:hover {
  color: var(--paper);
}

.room-link.here {
  color: var(--paper);
  font-weight: 700;
}

/* A bell's mouth under the room one is in. */
.room-link.here::after {
  background: var(--porcelain);
  border-radius: 12px 12px 0 0;
  bottom: 0;
  content: '';
  height: 9px;
  left: calc(50% - 10px);
  position: absolute;
  width: 20px;
}

.reads {
  background: var(--bronze-wash);
  border-radius: 999px;
  color: var(--bronze-text);
  font-size: 13px;
  font-weight: 600;
  padding: 2px 10px;
  white-space: nowrap;
}

.ask {
  background: var(--fern-deep);
  border: 1px solid rgb(255 255 255 / 18%);
  border-radius: var(--round);
  color: var(--leaf);
  cursor: pointer;
  padding: 3px 10px;
  white-space: nowrap;
}

.ask:hover {
  color: var(--paper);
}

.ask kbd {
  font: 600 12.5px var(--face-text);
  margin-left: 6px;
  opacity: 0.8;
}

.person {
  align-items: baseline;
  background: none;
  border: 0;
  color: var(--strip-text);
  cursor: pointer;
  display: flex;
  gap: 8px;
  padding: 6px 4px;
}

.narrow-only {
  display: none;
}

@media (max-width: 760px) {
  .strip {
    gap: 4px !important;
    padding: 0 6px !important;
  }

  .wide-only {
    display: none;
  }

  .narrow-only {
    display: inline;
  }

  nav {
    gap: 0 !important;
    justify-content: space-around;
  }

  .room-link {
    font-size: 13px;
    padding: 0 2px !important;
  }

  .person > [aria-hidden] {
    display: none;
  }

  .ask {
    font-size: 20px;
    line-height: 1;
    padding: 0;
  }

  .ask,
  .person {
    min-height: 40px;
    min-width: 40px;
  }
}

@media (max-width: 1100px) {
  .strip {
    gap: 14px;
  }

  .room-link {
    padding: 0 9px;
  }
}
</style>
