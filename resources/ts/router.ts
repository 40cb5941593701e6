import { createRouter, createWebHistory, type RouteLocation } from 'vue-router'
import { headToHeading, scrollBehavior } from './parts/arriving'

/** Addresses of before, as they may stand in notes and bookmarks. */
const leadOn = [
  { path: '/shelf/:rest(.*)*', redirect: (to: RouteLocation) => to.fullPath.replace('/shelf', '/models') },
  { path: '/cupboard/:rest(.*)*', redirect: (to: RouteLocation) => to.fullPath.replace('/cupboard', '/paper') },
  { path: '/patterns', redirect: '/models/patterns' },
  { path: '/learned', redirect: '/lessons/timings' },
]

/**
 * Screens by subject, as the rooms of core and app; teaching is on the feet, everything else at the desk. `place` is
 * the one of the four places in which a screen is found (parts/places.ts).
 */
export const router = createRouter({
  history: createWebHistory(),
  scrollBehavior,
  routes: [
    {
      path: '/',
      name: 'home',
      component: () => import('./home/Home.vue'),
      meta: { title: 'Next lesson', place: 'lessons' },
    },
    {
      path: '/sign-in',
      name: 'sign-in',
      component: () => import('./account/SignIn.vue'),
      meta: { title: 'Sign in', open: true },
    },
    {
      path: '/join/:token([A-Za-z0-9]+)',
      name: 'join',
      component: () => import('./account/Join.vue'),
      props: true,
      meta: { title: 'Invitation', open: true },
    },
    {
      path: '/models',
      name: 'shelf',
      component: () => import('./shelf/Shelf.vue'),
      meta: { title: 'Models', place: 'models' },
    },
    {
      path: '/models/folds',
      name: 'folds',
      component: () => import('./shelf/Folds.vue'),
      meta: { title: 'Folds', place: 'models' },
    },
    {
      path: '/models/folds/cards/:kind',
      name: 'cards',
      component: () => import('./print/Cards.vue'),
      props: true,
      meta: { title: 'Cards', place: 'models' },
    },
    {
      path: '/models/folds/:kind',
      name: 'fold',
      component: () => import('./shelf/Fold.vue'),
      props: true,
      meta: { title: 'Fold', place: 'models' },
    },
    {
      path: '/models/patterns',
      name: 'patterns',
      component: () => import('./shelf/Pattern.vue'),
      meta: { title: 'Crease pattern', place: 'models' },
    },
    {
      path: '/models/:slug/decorate',
      name: 'decorate',
      component: () => import('./decorate/Decorate.vue'),
      props: true,
      meta: { title: 'Decorate', place: 'models' },
    },
    {
      path: '/models/:slug/handout',
      name: 'handout',
      component: () => import('./print/Handout.vue'),
      props: true,
      meta: { title: 'Handout', place: 'models' },
    },
    {
      path: '/models/:slug',
      name: 'model',
      component: () => import('./shelf/Model.vue'),
      props: true,
      meta: { title: 'Model', place: 'models' },
    },
    {
      path: '/lessons',
      name: 'all-lessons',
      component: () => import('./lessons/AllLessons.vue'),
      meta: { title: 'All lessons', place: 'lessons' },
    },
    {
      path: '/lessons/term',
      name: 'term',
      component: () => import('./terms/Term.vue'),
      meta: { title: 'A term', place: 'lessons' },
    },
    {
      path: '/lessons/timings',
      name: 'learned',
      component: () => import('./pacing/Learned.vue'),
      meta: { title: 'Timings', place: 'lessons' },
    },
    {
      path: '/paper',
      name: 'cupboard',
      component: () => import('./paper/Cupboard.vue'),
      meta: { title: 'Paper', place: 'paper' },
    },
    {
      path: '/paper/models',
      name: 'paper-table',
      component: () => import('./paper/PaperTable.vue'),
      meta: { title: 'Which paper suits which model', place: 'paper' },
    },
    {
      path: '/paper/bench',
      name: 'bench',
      component: () => import('./paper/Bench.vue'),
      meta: { title: 'Cut squares', place: 'paper' },
    },
    {
      path: '/paper/ahead',
      name: 'ahead',
      component: () => import('./paper/Ahead.vue'),
      meta: { title: 'Paper ahead', place: 'paper' },
    },
    {
      path: '/groups',
      name: 'groups',
      component: () => import('./groups/Groups.vue'),
      meta: { title: 'Groups', place: 'groups' },
    },
    {
      path: '/groups/:id(\\d+)',
      name: 'wall',
      component: () => import('./groups/Wall.vue'),
      props: (to) => ({ id: Number(to.params['id']) }),
      meta: { title: 'Wall chart', place: 'groups' },
    },
    { path: '/help', name: 'help', component: () => import('./help/Help.vue'), meta: { title: 'Help' } },
    { path: '/bin', name: 'bin', component: () => import('./bin/Bin.vue'), meta: { title: 'Bin' } },
    { path: '/account', name: 'account', component: () => import('./account/Account.vue'), meta: { title: 'Account' } },
    {
      path: '/lessons/new',
      name: 'new-lesson',
      component: () => import('./lessons/Choose.vue'),
      meta: { title: 'New lesson', place: 'lessons' },
    },
    {
      path: '/lessons/:id(\\d+)',
      component: () => import('./lessons/Lesson.vue'),
      props: (to) => ({ id: Number(to.params['id']) }),
      meta: { title: 'Lesson', place: 'lessons' },
      children: [
        { path: '', redirect: { name: 'plan' } },
        { path: 'choose', name: 'choose', component: () => import('./lessons/Choose.vue') },
        { path: 'paper', name: 'paper', component: () => import('./paper/Paper.vue') },
        { path: 'plan', name: 'plan', component: () => import('./lessons/Plan.vue') },
        { path: 'keep', name: 'keep', component: () => import('./teaching/Keep.vue') },
        { path: 'kits', name: 'kits', component: () => import('./paper/Kits.vue') },
        { path: 'worksheet', name: 'worksheet', component: () => import('./paper/Worksheet.vue') },
      ],
    },
    {
      path: '/lessons/:id(\\d+)/handout',
      name: 'lesson-handout',
      component: () => import('./print/Handout.vue'),
      props: (to) => ({ id: Number(to.params['id']) }),
      meta: { title: 'Handout', place: 'lessons' },
    },
    {
      path: '/lessons/:id(\\d+)/run-sheet',
      name: 'run-sheet',
      component: () => import('./print/RunSheet.vue'),
      props: (to) => ({ id: Number(to.params['id']) }),
      meta: { title: 'Run sheet', place: 'lessons' },
    },
    {
      path: '/lessons/:id(\\d+)/ways/:slug',
      name: 'ways',
      component: () => import('./ways/Ways.vue'),
      props: (to) => ({ id: Number(to.params['id']), slug: String(to.params['slug']) }),
      meta: { title: 'Ways of teaching', bare: true },
    },
    {
      path: '/lessons/:id(\\d+)/teach',
      name: 'teach',
      component: () => import('./teaching/Stage.vue'),
      props: (to) => ({ id: Number(to.params['id']) }),
      meta: { title: 'Teach', bare: true },
    },
    {
      path: '/lessons/:id(\\d+)/wall',
      name: 'lesson-wall',
      component: () => import('./teaching/WallView.vue'),
      props: (to) => ({ id: Number(to.params['id']) }),
      meta: { title: 'Wall', bare: true },
    },
    {
      path: '/lessons/:id(\\d+)/rehearse',
      name: 'rehearse',
      component: () => import('./teaching/rehearsal/Rehearse.vue'),
      props: (to) => ({ id: Number(to.params['id']) }),
      meta: { title: 'Rehearse', bare: true },
    },
    ...leadOn,
    { path: '/:any(.*)', name: 'lost', component: () => import('./parts/Lost.vue'), meta: { title: 'Not found' } },
  ],
})

router.afterEach((to, from) => {
  if (from.name !== undefined && to.path !== from.path) void headToHeading()
  document.title = `${String(to.meta['title'] ?? '')} · Cathedra`
})
