import { createRouter, createWebHistory } from 'vue-router';
import type { Schemas } from './api/client';
import { queryClient } from './api/queries';
import { askMe, meQuery, type Role } from './api/useMe';

declare module 'vue-router' {
  interface RouteMeta {
    /** Reachable without signing in. */
    guest?: boolean;
    /** For these roles alone; for everybody where none is named. */
    roles?: readonly Role[];
    /** Without the shop's frame round it. */
    bare?: boolean;
  }
}

const TEACH: readonly Role[] = ['instructor', 'lead'];
const LEAD: readonly Role[] = ['lead'];
const LEARN: readonly Role[] = ['learner'];

export const router = createRouter({
  history: createWebHistory(),
  scrollBehavior: (_to, _from, saved) => saved ?? { top: 0 },
  routes: [
    { path: '/', name: 'home', component: () => import('./people/HomePage.vue') },
    {
      path: '/sign-in',
      name: 'sign-in',
      component: () => import('./people/SignInPage.vue'),
      meta: { guest: true, bare: true },
    },
    {
      path: '/first',
      name: 'first',
      component: () => import('./people/FirstPage.vue'),
      meta: { guest: true, bare: true },
    },
    {
      path: '/forgot',
      name: 'forgot',
      component: () => import('./people/ForgotPage.vue'),
      meta: { guest: true, bare: true },
    },
    {
      path: '/reset',
      name: 'reset',
      component: () => import('./people/ResetPage.vue'),
      meta: { guest: true, bare: true },
    },
    {
      path: '/mailbox',
      name: 'mailbox',
      component: () => import('./people/MailboxPage.vue'),
      meta: { guest: true, bare: true },
    },
    { path: '/account', name: 'account', component: () => import('./people/AccountPage.vue') },
    { path: '/today', name: 'today', component: () => import('./competency/TodayPage.vue'), meta: { roles: TEACH } },
    { path: '/path', name: 'path', component: () => import('./competency/OwnPathPage.vue'), meta: { roles: LEARN } },
    {
      path: '/learners/:id(\\d+)',
      name: 'learner',
      component: () => import('./competency/LearnerPage.vue'),
      props: true,
      meta: { roles: ['instructor', 'lead', 'auditor'] },
    },
    {
      path: '/learners/:id(\\d+)/sign-off/:permit',
      name: 'sign-off',
      component: () => import('./competency/SignOffPage.vue'),
      props: true,
    },
    { path: '/lessons/:code', name: 'lesson', component: () => import('./learning/LessonPage.vue'), props: true },
    { path: '/checks/:code', name: 'check', component: () => import('./learning/check/CheckPage.vue'), props: true },
    { path: '/papers/:id', name: 'paper', component: () => import('./learning/check/PaperPage.vue'), props: true },
    {
      path: '/path/questions',
      name: 'questions',
      component: () => import('./learning/memory/QuestionsPage.vue'),
      meta: { roles: LEARN },
    },
    { path: '/teaching', redirect: { name: 'warm-up' } },
    {
      path: '/teaching/warm-up',
      name: 'warm-up',
      component: () => import('./learning/memory/WarmUpsPage.vue'),
      meta: { roles: TEACH },
    },
    {
      path: '/teaching/warm-up/:cohort(\\d+)',
      name: 'warm-up-of',
      component: () => import('./learning/memory/WarmUpPage.vue'),
      props: true,
      meta: { roles: TEACH, bare: true },
    },
    {
      path: '/teaching/lessons',
      name: 'lessons',
      component: () => import('./content/writing/LessonsPage.vue'),
      meta: { roles: TEACH },
    },
    {
      path: '/teaching/lessons/:code',
      name: 'write-lesson',
      component: () => import('./content/writing/LessonWritingPage.vue'),
      props: true,
      meta: { roles: TEACH },
    },
    {
      path: '/teaching/checks',
      name: 'checks',
      component: () => import('./learning/check/ChecksPage.vue'),
      meta: { roles: TEACH },
    },
    {
      path: '/teaching/papers',
      name: 'print-papers',
      component: () => import('./learning/check/PrintPapersPage.vue'),
      meta: { roles: TEACH },
    },
    {
      path: '/teaching/checks/:code',
      name: 'check-figures',
      component: () => import('./learning/check/CheckFiguresPage.vue'),
      props: true,
      meta: { roles: TEACH },
    },
    {
      path: '/logbook',
      name: 'logbook',
      component: () => import('./practice/LogbookPage.vue'),
      meta: { roles: LEARN },
    },
    {
      path: '/today/assess',
      name: 'ready',
      component: () => import('./records/ReadyPage.vue'),
      meta: { roles: TEACH },
    },
    { path: '/parts/:code', name: 'part', component: () => import('./assessment/outcome/PartPage.vue'), props: true },
    {
      path: '/learners/:id(\\d+)/measuring',
      name: 'measuring',
      component: () => import('./assessment/measuring/MeasuringPage.vue'),
      props: true,
    },
    {
      path: '/teaching/sheets',
      name: 'sheets',
      component: () => import('./assessment/writing/SheetsPage.vue'),
      meta: { roles: TEACH },
    },
    {
      path: '/teaching/sheets/:code',
      name: 'written-sheet',
      component: () => import('./assessment/writing/WrittenSheetPage.vue'),
      props: true,
      meta: { roles: TEACH },
    },
    {
      path: '/teaching/assessors',
      name: 'assessors',
      component: () => import('./records/AssessorsPage.vue'),
      meta: { roles: TEACH },
    },
    { path: '/workshop/gauges', name: 'gauges', component: () => import('./workshop/GaugesPage.vue') },
    { path: '/sheets/:id', name: 'sheet', component: () => import('./assessment/SheetPage.vue'), props: true },
    { path: '/planner', name: 'planner', component: () => import('./planning/saved/PlansPage.vue') },
    {
      path: '/planner/:kind(hole|layout|lathe)',
      name: 'new-plan',
      component: () => import('./planning/NewPlanPage.vue'),
      props: true,
    },
    {
      path: '/planner/drill-point',
      name: 'drill-point',
      component: () => import('./planning/checks/DrillPointPage.vue'),
    },
    {
      path: '/planner/checks/:kind(pin_place|pin_size|run_out_check|tram_check|tailstock_check|taper_fit_check)',
      name: 'check-by-gauge',
      component: () => import('./planning/checks/CheckPage.vue'),
      props: true,
    },
    {
      path: '/planner/wall/:chart(speeds|tap_drills|sizes|reaming|seats|chips)?',
      name: 'wall-charts',
      component: () => import('./planning/wall/WallChartPage.vue'),
      props: true,
    },
    { path: '/planner/plans/:id', name: 'plan', component: () => import('./planning/saved/PlanPage.vue'), props: true },
    {
      path: '/planner/compare/:first/:second',
      name: 'compare-plans',
      component: () => import('./planning/saved/ComparePage.vue'),
      props: true,
    },
    { path: '/workshop', name: 'workshop', component: () => import('./workshop/MachinesPage.vue') },
    { path: '/workshop/cribs', name: 'cribs', component: () => import('./workshop/CribsPage.vue') },
    { path: '/workshop/materials', name: 'materials', component: () => import('./workshop/MaterialsPage.vue') },
    { path: '/workshop/policy', name: 'policy', component: () => import('./policy/PolicyPage.vue') },
    {
      path: '/workshop/devices',
      name: 'devices',
      component: () => import('./gate/DevicesPage.vue'),
      meta: { roles: TEACH },
    },
    {
      path: '/records',
      name: 'changes',
      component: () => import('./records/ChangesPage.vue'),
      meta: { roles: ['lead', 'auditor'] },
    },
    {
      path: '/records/tries',
      name: 'tries',
      component: () => import('./assessment/tries/TriesPage.vue'),
      meta: { roles: ['lead', 'auditor'] },
    },
    {
      path: '/records/people',
      name: 'people',
      component: () => import('./people/PeoplePage.vue'),
      meta: { roles: LEAD },
    },
    {
      path: '/records/people/list',
      name: 'class-list',
      component: () => import('./people/ClassListPage.vue'),
      meta: { roles: LEAD },
    },
    { path: '/workshop/shop', name: 'shop', component: () => import('./workshop/ShopPage.vue'), meta: { roles: LEAD } },
    {
      path: '/workshop/content',
      name: 'content',
      component: () => import('./content/ContentPage.vue'),
      meta: { roles: LEAD },
    },
    {
      path: '/workshop/permits',
      name: 'permits',
      component: () => import('./competency/PermitsPage.vue'),
      meta: { roles: TEACH },
    },
    {
      path: '/workshop/permits/:code',
      name: 'permit',
      component: () => import('./competency/PermitPage.vue'),
      props: true,
      meta: { roles: TEACH },
    },
    {
      path: '/workshop/file',
      name: 'workshop-file',
      component: () => import('./workshop/WorkshopFilePage.vue'),
      meta: { roles: TEACH },
    },
    {
      path: '/gate/:machine',
      name: 'gate-screen',
      component: () => import('./gate/GateScreenPage.vue'),
      props: true,
      meta: { guest: true, bare: true },
    },
    {
      path: '/review',
      name: 'review',
      component: () => import('./assessment/second/ReviewPage.vue'),
      meta: { guest: true, bare: true },
    },
    { path: '/:missing(.*)*', name: 'missing', component: () => import('./ui/MissingPage.vue'), meta: { guest: true } },
  ],
});

router.beforeEach(async (to) => {
  if (to.meta.guest) return true;
  // A server that is away does not make a stranger of whoever works here.
  const me = await askMe().catch(() => queryClient.getQueryData<Schemas['Me']>(meQuery.queryKey));
  // Nobody leads this shop yet: whoever started it begins.
  if (me?.first_run) return { name: 'first' };
  if (!me?.person) return { name: 'sign-in', query: { next: to.fullPath } };
  // Where the shop asks for a second factor, setting it up comes first.
  return me.person.second_factor === 'wanted' && to.name !== 'account' ? { name: 'account' } : true;
});
