import { readdirSync, statSync } from 'node:fs';
import { join } from 'node:path';
import AxeBuilder from '@axe-core/playwright';
import type { Page } from '@playwright/test';
import {
  EVERY_STEP,
  expect,
  openLesson,
  press,
  preferenceKept,
  ROOT,
  signIn,
  step,
  test,
  typeFigure,
  student,
} from './product';
import type { Product } from './product';

/** Every screen, from the route files themselves: a new one that is not visited below fails the test. */
function routes(folder = join(ROOT, 'app', 'app'), path = ''): string[] {
  return readdirSync(folder).flatMap((name) => {
    if (statSync(join(folder, name)).isDirectory()) return routes(join(folder, name), `${path}/${name}`);
    if (name.startsWith('_layout')) return [];
    return [`${path}/${name.replace(/\.tsx$/, '').replace(/^index$/, '')}`.replace(/\/$/, '') || '/'];
  });
}

type Light = 'Paper' | 'Dusk';

/** The lights differ in colours alone: at dusk what goes by colour is looked at, on paper everything. */
const BY_COLOUR = ['color-contrast', 'link-in-text-block'];

/** A wide screen differs from a phone in layout alone: its colours were looked at there. */
const checked = (page: Page, light: Light): AxeBuilder => {
  // There are no frames: the findings need no page of their own to be put together in. Only what is wrong is told.
  const axe = new AxeBuilder({ page }).setLegacyMode().options({ resultTypes: ['violations'] });
  if (light === 'Dusk') return axe.withRules(BY_COLOUR);
  return isWide(page) ? axe.disableRules(BY_COLOUR) : axe;
};

async function noSeriousFinding(page: Page, screen: string, light: Light): Promise<void> {
  // What fades in has its colours when nothing moves any more.
  await page.evaluate(() => Promise.all(document.getAnimations().map((each) => each.finished)));
  const { violations } = await checked(page, light).analyze();
  const serious = violations.filter(({ impact }) => impact === 'serious' || impact === 'critical');
  const told = serious.map(
    ({ id, nodes }) =>
      `${screen}: ${id}: ${nodes.map((node) => `${node.html.slice(0, 160)} ${node.failureSummary ?? ''}`).join(' | ')}`,
  );
  expect(told).toEqual([]);
  const wider = await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth);
  expect(`${screen} is wider than the screen by ${wider}`).toBe(`${screen} is wider than the screen by 0`);
}

type Visit = (route: string, path?: string) => Promise<void>;
type Walk = (page: Page, product: Product, visit: Visit) => Promise<void>;

/** Walks through every screen between them; each is a test of its own, so that they run side by side. */
const WALKS: Record<string, { screens: string[]; walk: Walk }> = {
  'signing in, the students and the settings': {
    screens: [
      '/sign-in',
      '/start',
      '/join',
      '/reset',
      '/recover',
      '/academy',
      '/data',
      '/kept',
      '/settings',
      '/',
      '/students',
      '/outbox',
      '/+not-found',
      '/students/new',
    ],
    async walk(page, product, visit) {
      await page.goto(product.origin);
      await expect(page.getByLabel('Password')).toBeVisible();
      await visit('/start', '/start');
      await visit('/join', `/join#${'x'.repeat(43)}`);
      await visit('/reset', `/reset#${'x'.repeat(43)}`);
      await visit('/recover', '/recover');
      await page.goto(product.origin);
      await visit('/sign-in');
      await press(page, 'Sign in');
      await expect(page.getByRole('alert').first()).toBeVisible();
      await visit('/sign-in');
      await signIn(page, product);
      await visit('/settings', '/settings');
      await page.goto(`${product.origin}/academy`);
      await expect(page.getByTestId('colleague').first()).toBeVisible();
      await visit('/academy');
      await visit('/data', '/data');
      await visit('/kept', '/kept');
      await visit('/', '/');
      await expect(student(page, 'Odile')).toBeVisible();
      await visit('/students', '/students');
      await page.getByLabel('Search students').fill('zzz');
      await expect(page.getByText('No student matches “zzz”.')).toBeVisible();
      await visit('/students');
      await visit('/outbox', '/outbox');
      await visit('/+not-found', '/nowhere/at/all');
      await page.goto(`${product.origin}/students/new`);
      await expect(page.getByLabel('Name')).toBeVisible();
      await press(page, /^Save$/);
      await expect(page.getByRole('alert').first()).toBeVisible();
      await visit('/students/new');
    },
  },
  'a lesson, every step': {
    screens: ['/lessons/[lesson]'],
    async walk(page, product, visit) {
      await signIn(page, product);
      await openLesson(page, 'Bartolo Kettlesand', '7-iron');
      await typeFigure(page, 'leadFlare', 'Lead flare', '0');
      for (const name of EVERY_STEP) {
        await step(page, name);
        await visit('/lessons/[lesson]');
      }
      await step(page, 'legs');
      await press(page, 'Test legs and trunk');
      await press(page, 'It hurts: Lead leg, turned in');
      await visit('/lessons/[lesson]');
      await step(page, 'change');
      await press(page, 'Take: Lead foot');
      await visit('/lessons/[lesson]');
    },
  },
  'a student’s page and records': {
    screens: [
      '/students/[student]',
      '/students/[student]/log/[reading]',
      '/students/[student]/card/[reading]',
      '/students/[student]/compare',
      '/students/[student]/edit',
      '/students/[student]/trial/[trial]',
      '/students/[student]/shots',
      '/students/[student]/privacy',
    ],
    async walk(page, product, visit) {
      await signIn(page, product);
      await student(page, 'Bartolo Kettlesand').click();
      await expect(page.getByTestId('log-card').first()).toBeVisible();
      await visit('/students/[student]');
      await page.getByTestId('log-card').first().getByRole('link').click();
      await expect(page.getByTestId('plan')).toBeVisible();
      await visit('/students/[student]/log/[reading]');
      await press(page, 'The card to take home');
      await expect(page.getByTestId('card-view')).toBeVisible();
      await visit('/students/[student]/card/[reading]');
      await page.goBack();
      await page.getByRole('link', { name: 'Set methods side by side on these feet' }).click();
      await expect(page.getByLabel('Set against')).toBeVisible();
      await visit('/students/[student]/compare');
      await page.getByRole('radio', { name: 'Whole bag' }).click();
      await expect(page.getByTestId('plan')).toBeVisible();
      await visit('/students/[student]/compare');
      await page.goto(`${product.origin}/students`);
      await student(page, 'Bartolo Kettlesand').click();
      await page.getByRole('link', { name: 'Edit' }).click();
      await expect(page.getByLabel('Name')).toBeVisible();
      await visit('/students/[student]/edit');
      await page.goto(`${product.origin}/students`);
      await student(page, 'Ferris Quillon').click();
      await page.getByTestId('trial-card').getByRole('link').click();
      await expect(page.getByTestId('verdict')).toBeVisible();
      await press(page, /What else was seen/);
      await visit('/students/[student]/trial/[trial]');
      await page.getByRole('button', { name: /^Back to Ferris/ }).click();
      await page.getByRole('link', { name: 'Shots: typed, from a file, or to one' }).click();
      await expect(page.getByRole('button', { name: 'Bring in a file …' })).toBeVisible();
      await visit('/students/[student]/shots');
      await page.goto(`${product.origin}/students`);
      await student(page, 'Pip Marrowby').click();
      await page.getByRole('link', { name: 'Data and consent' }).click();
      await press(page, 'Erase this student');
      await expect(page.getByLabel('Name, typed again')).toBeVisible();
      await visit('/students/[student]/privacy');
    },
  },
  'house methods': {
    screens: ['/drills', '/ladders', '/practice', '/methods', '/methods/[method]', '/methods/[method]/edit'],
    async walk(page, product, visit) {
      await signIn(page, product);
      await page.goto(`${product.origin}/methods`);
      await expect(page.getByTestId('own-method').first()).toBeVisible();
      await visit('/methods');
      await press(page, 'Drills');
      await press(page, 'Write a drill');
      await press(page, 'Save the drill');
      await expect(page.getByRole('alert').first()).toBeVisible();
      await visit('/drills');
      await page.goto(`${product.origin}/ladders`);
      await press(page, 'Build a ladder');
      await press(page, 'Save the ladder');
      await expect(page.getByRole('alert').first()).toBeVisible();
      await visit('/ladders');
      await page.goto(`${product.origin}/practice`);
      await page.getByLabel(/Your guess/).fill('12');
      await press(page, 'See');
      await expect(page.getByTestId('truth')).toBeVisible();
      await visit('/practice');
      await page.goto(`${product.origin}/methods`);
      await page.getByRole('link', { name: 'Open “Lead foot first”' }).click();
      await expect(page.getByTestId('question-leadFlare')).toBeVisible();
      await visit('/methods/[method]');
      await press(page, 'Start our own from it');
      for (const question of ['stanceWidth', 'leadFlare', 'seat']) {
        await page.getByTestId(`edit-${question}`).getByRole('button').first().click();
      }
      await visit('/methods/[method]/edit');
    },
  },
};

/** The light goes by the device from here on, which the browser is told: each screen is looked at in both. */
async function lightAsTheDevice(page: Page, product: Product): Promise<void> {
  await page.emulateMedia({ colorScheme: 'light' });
  await signIn(page, product);
  await page.goto(`${product.origin}/settings`);
  await page.getByRole('radio', { name: 'As the device' }).click();
  await preferenceKept(page, 'light', 'as the device');
  // The device signs out at once; the session on the server ends with the answer.
  const ended = page.waitForResponse((answer) => answer.request().method() === 'DELETE');
  await press(page, 'Sign out');
  await expect(page.getByLabel('Password')).toBeVisible();
  await ended;
}

/** The lights differ in colours alone, and the sizes in layout alone: dusk is looked at on the phone. */
const isWide = (page: Page): boolean => page.viewportSize()!.width >= 1000;

async function inBothLights(page: Page, screen: string): Promise<void> {
  await noSeriousFinding(page, screen, 'Paper');
  if (isWide(page)) return;
  await page.emulateMedia({ colorScheme: 'dark' });
  await expect(page.locator('html.dusk')).toBeAttached();
  await noSeriousFinding(page, screen, 'Dusk');
  await page.emulateMedia({ colorScheme: 'light' });
  await expect(page.locator('html.dusk')).not.toBeAttached();
}

for (const [name, { screens, walk }] of Object.entries(WALKS)) {
  test(`no serious accessibility finding: ${name}`, async ({ page, product }) => {
    if (!isWide(page)) await lightAsTheDevice(page, product);
    const visited = new Set<string>();
    await walk(page, product, async (route, path) => {
      if (path) await page.goto(`${product.origin}${path}`);
      visited.add(route);
      await inBothLights(page, route);
    });
    expect([...visited].sort()).toEqual([...screens].sort());
  });
}

test('every screen there is is walked through', () => {
  const walked = Object.values(WALKS).flatMap(({ screens }) => screens);
  expect(walked.sort()).toEqual(routes().sort());
});

test('what is touched is at least 48 px high, and no figure is cut off', async ({ page, product }) => {
  await signIn(page, product);
  await openLesson(page, 'Wilhelmina Applethwaite', 'Driver');
  for (const name of EVERY_STEP) {
    await step(page, name);
    const small = await page.evaluate(() =>
      [...document.querySelectorAll('[role=button],[role=radio],[role=tab],a,input,textarea')]
        .map((element) => ({
          words: element.textContent || element.getAttribute('aria-label'),
          box: element.getBoundingClientRect(),
        }))
        .filter(({ box }) => box.width > 0 && (box.height < 47.5 || box.width < 44))
        .map(({ words, box }) => `${words} ${Math.round(box.width)}x${Math.round(box.height)}`),
    );
    expect([name, small]).toEqual([name, []]);
  }
  await step(page, 'feet');
  const outside = await page.evaluate(() => {
    const plan = document.querySelector('[data-testid=plan]')!.getBoundingClientRect();
    return [...document.querySelectorAll('[data-testid=plan] text')]
      .map((text) => ({ words: text.textContent, box: text.getBoundingClientRect() }))
      .filter(
        ({ box }) =>
          box.left < plan.left || box.right > plan.right || box.top < plan.top || box.bottom > plan.bottom,
      )
      .map(({ words }) => words);
  });
  expect(outside).toEqual([]);
});
