import { ref } from 'vue'
import { createRouter, createWebHistory } from 'vue-router'

/** Rooms in the order of work; one appears here when it exists. */
export const ROOMS = [
  { to: '/desserts', name: 'Desserts' },
  { to: '/formulas', name: 'Formulas' },
  { to: '/pantry', name: 'Pantry' },
  { to: '/molds', name: 'Molds' },
]

/** The room in which a shelf is worked on, where it is called otherwise. */
export const ROOM_OF: Record<string, string> = { ingredients: 'pantry' }

const ROOM_FILES = [
  () => import('../desserts/DessertsRoom.vue'),
  () => import('../desserts/SheetsRoom.vue'),
  () => import('../formulas/FormulasRoom.vue'),
  () => import('../pantry/PantryRoom.vue'),
  () => import('../molds/MoldsRoom.vue'),
  () => import('../formulas/BesideRoom.vue'),
] as const
const [desserts, sheets, formulas, pantry, molds, beside] = ROOM_FILES

/** Every room is fetched while there is time, so that none is missing when the line breaks. */
export const fetchRooms = () => Promise.allSettled(ROOM_FILES.map((load) => load()))

/** Where one wanted to go and could not: the room was not loaded yet. */
export const unreached = ref('')

export const router = createRouter({
  history: createWebHistory(),
  routes: [
    { path: '/', redirect: '/desserts' },
    {
      path: '/desserts/:id?',
      component: desserts,
      props: true,
    },
    {
      path: '/desserts/:id/sheets',
      component: sheets,
      props: (route) => ({ id: route.params.id, count: Number(route.query.count) || undefined }),
    },
    {
      path: '/formulas/beside',
      component: beside,
      props: (route) => ({
        asked: String(route.query.f ?? '')
          .split(',')
          .filter(Boolean),
      }),
    },
    {
      path: '/formulas/:id?',
      component: formulas,
      props: true,
    },
    { path: '/pantry/:id?', component: pantry, props: true },
    { path: '/molds/:id?', component: molds, props: true },
    { path: '/record', component: () => import('./RecordPage.vue') },
    { path: '/words', component: () => import('./GlossaryPage.vue') },
    { path: '/:rest(.*)*', component: () => import('./NotHere.vue') },
  ],
})

router.onError((_, to) => (unreached.value = to.fullPath))
router.afterEach(() => (unreached.value = ''))
