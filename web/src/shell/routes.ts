import { ref } from 'vue'
import { createRouter, createWebHistory, type RouteLocation } from 'vue-router'

/** Rooms in the order of work; one appears here when it exists. */
export const ROOMS = [
  { to: '/desserts', name: 'Desserts' },
  { to: '/formulas', name: 'Formulas' },
  { to: '/pantry', name: 'Pantry' },
  { to: '/molds', name: 'Molds' },
  { to: '/plan', name: 'Plan' },
]

/** The room in which a shelf is worked on, where it is called otherwise. */
export const ROOM_OF: Record<string, string> = { ingredients: 'pantry', orders: 'plan' }

const ROOM_FILES = [
  () => import('../desserts/DessertsRoom.vue'),
  () => import('../sheets/SheetsRoom.vue'),
  () => import('../formulas/FormulasRoom.vue'),
  () => import('../pantry/PantryRoom.vue'),
  () => import('../molds/MoldsRoom.vue'),
  () => import('../formulas/BesideRoom.vue'),
  () => import('../scaling/MoldsWall.vue'),
  () => import('../scaling/CutRoom.vue'),
  () => import('../scaling/TemplatesRoom.vue'),
  () => import('../scaling/PortionsRoom.vue'),
  () => import('../planning/PlanRoom.vue'),
] as const
const [desserts, sheets, formulas, pantry, molds, beside, wall, cut, templates, portions, plan] =
  ROOM_FILES

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
    ...(
      [
        ['desserts', 'desserts'],
        ['plan', 'orders'],
        ['formulas', 'formulas'],
      ] as const
    ).map(([room, of]) => ({
      path: `/${room}/:id/sheets`,
      component: sheets,
      props: (route: RouteLocation) => ({
        of,
        room,
        id: route.params.id,
        // What is no number is left to the server to refuse.
        asked: Object.fromEntries(
          Object.entries(route.query).map(([key, value]) => [key, Number(value)]),
        ),
      }),
    })),
    { path: '/desserts/:id/molds', component: wall, props: true },
    { path: '/desserts/:id/cut', component: cut, props: true },
    { path: '/desserts/:id/templates', component: templates, props: true },
    { path: '/desserts/:id/portions', component: portions, props: true },
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
    { path: '/plan/:id?', component: plan, props: true },
    { path: '/record', component: () => import('./RecordPage.vue') },
    { path: '/words', component: () => import('./GlossaryPage.vue') },
    { path: '/:rest(.*)*', component: () => import('./NotHere.vue') },
  ],
})

router.onError((_, to) => (unreached.value = to.fullPath))
router.afterEach(() => (unreached.value = ''))
