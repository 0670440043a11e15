import { sessionCookie } from '../server/test/sessionCookie';
import { spawn, type ChildProcess } from 'node:child_process';
import { randomBytes } from 'node:crypto';
import { readFileSync } from 'node:fs';
import { connect, createServer, type Server } from 'node:net';
import { join } from 'node:path';
import { test as base, expect, type CDPSession, type Page } from '@playwright/test';
import { Client } from 'pg';
import { throughPgBouncer } from './pgBouncer';

export const ROOT = join(__dirname, '..');
export const PASSWORD = 'paper-and-tape';
export const LANTERN = 'coach@lanternhill.example';
export const HARBOUR = 'coach@saltharbour.example';

/** A program of the server, bundled where the test command did so, else from its sources. */
const program = (name: 'prepare' | 'main'): string[] =>
  process.env.SERVER_BUNDLE
    ? [join(process.env.SERVER_BUNDLE, `${name}.cjs`)]
    : ['--import', 'tsx', join(ROOT, 'server', `${name}.ts`)];

/** Migrates a database and fills it where it is empty; answers the address the server works with. */
function prepareDatabase(adminUrl: string): Promise<string> {
  const child = spawn(process.execPath, program('prepare'), {
    cwd: ROOT,
    env: {
      ...process.env,
      DATABASE_ADMIN_URL: adminUrl,
      APPLICATION_PASSWORD: 'a password for tests alone',
      DEMO: '1',
    },
    stdio: ['ignore', 'ignore', 'inherit', 'ipc'],
  });
  return new Promise((resolve, reject) => {
    child.once('message', (message: { databaseUrl: string }) => resolve(message.databaseUrl));
    child.once('exit', () => reject(new Error('the database was not prepared')));
  });
}

const freePort = (): Promise<number> =>
  new Promise((resolve, reject) => {
    const server = createServer();
    server.once('error', reject).listen(0, '127.0.0.1', () => {
      const { port } = server.address() as { port: number };
      server.close(() => resolve(port));
    });
  });

/** How many servers share the database, and whether PgBouncer in transaction mode stands before it. */
const SERVERS = Number(process.env.E2E_SERVERS ?? 1);
const POOLED = process.env.E2E_PGBOUNCER === '1';

/** The real server on a database of its own with the demo data, which a test may stop, kill and start. */
export class Product {
  private servers: ChildProcess[] = [];
  private output = '';
  private balancer: Server | undefined;
  private readonly sessions = new Map<string, { name: string; value: string }>();

  private constructor(
    private readonly port: number,
    private readonly adminUrl: string,
    private readonly databaseUrl: string,
  ) {}

  static async open(): Promise<Product> {
    const cluster = process.env.TEST_DATABASE_URL;
    if (!cluster)
      throw new Error('TEST_DATABASE_URL is missing: the test command starts a PostgreSQL and sets it.');
    const name = `e2e_${randomBytes(6).toString('hex')}`;
    const client = new Client({ connectionString: cluster });
    await client.connect();
    // The test command fills a template with the demo once; without one the preparation fills it.
    const template = process.env.TEST_TEMPLATES ? ' template template_demo' : '';
    await client.query(`create database ${name}${template}`);
    await client.end();
    const url = new URL(cluster);
    url.pathname = `/${name}`;
    const direct = await prepareDatabase(url.href);
    const databaseUrl = POOLED ? await throughPgBouncer(direct, await freePort()) : direct;
    const product = new Product(await freePort(), url.href, databaseUrl);
    await product.start();
    return product;
  }

  get origin(): string {
    return `http://127.0.0.1:${this.port}`;
  }

  async start(): Promise<void> {
    this.output = '';
    const ports = SERVERS === 1 ? [this.port] : await Promise.all(Array.from({ length: SERVERS }, freePort));
    this.servers = await Promise.all(ports.map((port) => this.startServer(port)));
    if (SERVERS > 1) await this.share(ports);
  }

  private startServer(port: number): Promise<ChildProcess> {
    const server = spawn(process.execPath, program('main'), {
      cwd: ROOT,
      env: {
        ...process.env,
        PORT: String(port),
        HOST: '127.0.0.1',
        DATABASE_URL: this.databaseUrl,
        SESSION_SECRET: 'x'.repeat(40),
        WEB_ROOT: join(ROOT, 'app', 'dist'),
        STAND_IN_PACE_MS: '120',
        LOG_LEVEL: 'warn',
      },
      stdio: ['ignore', 'pipe', 'pipe'],
    });
    return new Promise((resolve, reject) => {
      const heard = (data: Buffer) => {
        this.output += data.toString();
        if (data.toString().includes('Ready at')) resolve(server);
      };
      server.stdout.on('data', heard);
      server.stderr.on('data', heard);
      server.once('exit', () => reject(new Error(`the server did not start:\n${this.output}`)));
    });
  }

  /** Hands connections at the product's port to the servers in turn. */
  private share(ports: number[]): Promise<void> {
    let turn = 0;
    const balancer = createServer((socket) => {
      turn += 1;
      const server = connect(ports[turn % ports.length]!, '127.0.0.1');
      socket.on('error', () => server.destroy());
      server.on('error', () => socket.destroy());
      socket.pipe(server).pipe(socket);
    });
    this.balancer = balancer;
    return new Promise((resolve) => balancer.listen(this.port, '127.0.0.1', resolve));
  }

  /** Ends the server and waits until it is gone; SIGKILL gives it no say. */
  async stop(signal: 'SIGTERM' | 'SIGKILL' = 'SIGTERM'): Promise<void> {
    this.balancer?.close();
    const running = this.servers.filter((server) => server.exitCode === null && !server.signalCode);
    await Promise.all(
      running.map((server) => {
        const gone = new Promise((resolve) => server.once('exit', resolve));
        server.kill(signal);
        return gone;
      }),
    );
  }

  /** The cookie of a coach's session, signed in anew where the last one has ended. */
  async sessionOf(email: string): Promise<{ name: string; value: string; url: string }> {
    const known = this.sessions.get(email);
    if (known && (await this.knows(known))) return { ...known, url: this.origin };
    const answer = await fetch(`${this.origin}/api/session`, {
      method: 'POST',
      headers: { origin: this.origin, 'content-type': 'application/json' },
      body: JSON.stringify({ email, password: PASSWORD }),
    });
    const [name, value] = sessionCookie(answer.headers).split(';')[0]!.split('=') as [string, string];
    const session = { name, value };
    this.sessions.set(email, session);
    return { ...session, url: this.origin };
  }

  private async knows({ name, value }: { name: string; value: string }): Promise<boolean> {
    const answer = await fetch(`${this.origin}/api/session`, { headers: { cookie: `${name}=${value}` } });
    return answer.ok && (await answer.json()) !== null;
  }

  /** Asks the database itself, as its administrator. */
  async sql<Row = Record<string, unknown>>(text: string, values: unknown[] = []): Promise<Row[]> {
    const client = new Client({ connectionString: this.adminUrl });
    await client.connect();
    try {
      return (await client.query(text, values)).rows as Row[];
    } finally {
      await client.end();
    }
  }
}

/** Each worker has a product of its own; each test a browser with nothing in it. */
export const test = base.extend<{ troubles: string[] }, { product: Product }>({
  product: [
    async ({ browserName: _any }, use) => {
      const product = await Product.open();
      await use(product);
      await product.stop();
    },
    { scope: 'worker', timeout: 90_000 },
  ],
  troubles: [
    async ({ page }, use) => {
      const troubles: string[] = [];
      page.on('pageerror', (error) => troubles.push(error.message));
      page.on('console', (message) => {
        if (message.type() === 'error' && !/Failed to load resource|net::ERR/.test(message.text()))
          troubles.push(message.text());
      });
      await use(troubles);
      expect(troubles).toEqual([]);
    },
    { auto: true },
  ],
});

export { expect };

/**
 * Opens the app as a coach who is signed in, and who speaks of lead and trail: so the tests read alike for either hand.
 * What a coach finds who chose nothing is left and right; `hands.spec` and the pictures go by it.
 */
export async function signIn(page: Page, product: Product, email = LANTERN): Promise<void> {
  await page.context().addCookies([await product.sessionOf(email)]);
  await page.goto(`${product.origin}/settings`);
  await page.getByRole('radio', { name: 'Lead and trail' }).click();
  await preferenceKept(page, 'feet', 'lead and trail');
  await press(page, 'Back to the students');
  await expect(page.getByRole('heading', { name: 'Students' })).toBeVisible();
}

/** The password of academies that tests begin. */
export const LONG_PASSWORD = 'a stance as wide as it takes';

/** Begins an academy with nothing in it, from the sign-in page. */
export async function startAcademy(page: Page, product: Product, email: string): Promise<void> {
  await page.goto(`${product.origin}/`);
  await page.getByRole('link', { name: 'Start an academy of your own' }).click();
  await page.getByLabel('Academy, or your own name').fill('Windy Tee');
  await page.getByLabel('Your name').fill('Dot Example');
  await page.getByLabel('E-mail address').fill(email);
  await page.getByLabel('Password').fill(LONG_PASSWORD);
  await page.getByRole('radio', { name: 'Both well out' }).click();
  await page.getByRole('radio', { name: 'Heels under the hips' }).click();
  await press(page, 'Start');
  await expect(page.getByRole('heading', { name: 'Students' })).toBeVisible();
}

/** Signs in by the form itself. */
export async function fillSignIn(page: Page, email = LANTERN): Promise<void> {
  await page.getByLabel('E-mail address').fill(email);
  await page.getByLabel('Password').fill(PASSWORD);
  await page.getByRole('button', { name: 'Sign in' }).click();
  await expect(page.getByRole('heading', { name: 'Students' })).toBeVisible();
}

/** A student's row in the list; the day above it may name the student too. */
export const student = (page: Page, name: string) =>
  page.getByTestId('student-row').filter({ hasText: name });

/** Where each step of a lesson is: its place on the ruler, and its part of that place. */
const STEPS = {
  who: ['Student', 'Came for'],
  legs: ['Student', 'Legs and trunk'],
  ladder: ['Student', 'Tests'],
  feet: ['Address', 'Plan'],
  tape: ['Address', 'Tape'],
  photo: ['Address', 'Photo'],
  quickLook: ['Address', 'Quick look'],
  body: ['Address', 'Body'],
  pressure: ['Address', 'Pressure'],
  read: ['Read'],
  change: ['Change'],
  keep: ['Keep', 'Record'],
  try: ['Keep', 'Try'],
} as const;
export type Step = keyof typeof STEPS | 'club';
export const EVERY_STEP = ['club', ...Object.keys(STEPS)] as Step[];

/** Opens a step of a lesson by the ruler, or the club by its button. */
export async function step(page: Page, name: Step): Promise<void> {
  if (name === 'club') return press(page, /^Club:/);
  const [place, part] = STEPS[name];
  const places = page.getByRole('tablist', { name: 'Places of the lesson' });
  await places.getByRole('tab', { name: new RegExp(`^${place}`) }).click();
  const parts = page.getByRole('tablist', { name: 'Parts of this place' });
  if (part) await parts.getByRole('tab', { name: part, exact: true }).click();
}
export const press = (page: Page, name: string | RegExp) => page.getByRole('button', { name }).click();

/** Opens a student's page and a new lesson with a club. */
export async function openLesson(page: Page, name: string, club: string): Promise<void> {
  await student(page, name).click();
  await press(page, 'Start a lesson');
  await step(page, 'club');
  await page.getByRole('radio', { name: club, exact: true }).click();
  await press(page, 'Place the feet');
  await expect(page.getByTestId('plan')).toBeVisible();
}

/** Types a figure into the desk for a dial that has been chosen by its row. */
export async function typeFigure(page: Page, dial: string, name: string, value: string): Promise<void> {
  const adjust = page.getByRole('button', { name: 'Adjust on the plan' });
  if (await adjust.isVisible()) await adjust.click();
  await page.getByTestId(`row-${dial}`).click();
  await press(page, `Type ${name}`);
  await page.getByTestId('desk').getByRole('textbox').fill(value);
  await press(page, 'Set the typed figure');
}

/** Places the feet, agrees on another lead flare and gives the reason; ready to be recorded. */
export async function agree(page: Page, reason: string): Promise<void> {
  await typeFigure(page, 'leadFlare', 'Lead flare', '2');
  await page.getByTestId('row-leadShare').click();
  await press(page, 'Weight on lead foot plus 1%');
  await step(page, 'change');
  await typeFigure(page, 'leadFlare', 'Lead flare', '15');
  await step(page, 'keep');
  await page.getByRole('textbox', { name: 'Reason' }).fill(reason);
}

export const figure = (page: Page, row: string) =>
  page.getByTestId(`${row}-figure`).filter({ visible: true });
export const band = (page: Page, row: string) => page.getByTestId(`${row}-band`).filter({ visible: true });

/** Where the middle of a part of the plan is on the screen. */
export async function partAt(page: Page, selector: string): Promise<{ x: number; y: number }> {
  return page.evaluate((wanted) => {
    const box = document.querySelector(`[data-testid=plan] ${wanted}`)!.getBoundingClientRect();
    return { x: box.x + box.width / 2, y: box.y + box.height / 2 };
  }, selector);
}

export async function drag(page: Page, selector: string, by: { x: number; y: number }): Promise<void> {
  const from = await partAt(page, selector);
  await page.mouse.move(from.x, from.y);
  await page.mouse.down();
  for (let move = 1; move <= 10; move += 1)
    await page.mouse.move(from.x + (by.x * move) / 10, from.y + (by.y * move) / 10);
  await page.mouse.up();
}

/** The service worker has everything and answers for this page. */
export async function shellKept(page: Page): Promise<void> {
  await page.waitForFunction(() => navigator.serviceWorker.controller !== null, undefined, {
    timeout: 30_000,
  });
}

/** Everything the browser keeps of the product, as text. */
export const deviceText = (page: Page): Promise<string> =>
  page.evaluate(
    () =>
      new Promise<string>((resolve, reject) => {
        const opening = indexedDB.open('pedastance');
        opening.onerror = () => reject(opening.error);
        opening.onsuccess = async () => {
          const database = opening.result;
          const names = [...database.objectStoreNames];
          const transaction = database.transaction(names);
          const rows = await Promise.all(
            names.map(
              (name) =>
                new Promise((done) => {
                  const asked = transaction.objectStore(name).getAll();
                  asked.onsuccess = () => done(asked.result);
                }),
            ),
          );
          database.close();
          resolve(JSON.stringify(rows));
        };
      }),
  );

/** A lesson's club is on the device: a page that is left at once may not have written it yet. */
export const clubKept = (page: Page, club: string) =>
  expect.poll(async () => (await deviceText(page)).includes(`"recorded":[],"club":"${club}"`)).toBe(true);

/** A preference is on the device: a page that is left at once may not have written it yet. */
export async function preferenceKept(page: Page, name: string, value: string): Promise<void> {
  const kept = () =>
    page.evaluate(
      (wanted) =>
        new Promise((resolve, reject) => {
          const opening = indexedDB.open('pedastance');
          opening.onerror = () => reject(opening.error);
          opening.onsuccess = () => {
            const asked = opening.result.transaction('device').objectStore('device').get('preferences');
            asked.onsuccess = () => {
              opening.result.close();
              resolve((asked.result as Record<string, unknown> | undefined)?.[wanted]);
            };
          };
        }),
      name,
    );
  await expect.poll(kept).toBe(value);
}

/** The phone turned about the vertical, as Chromium's own override of its sensor gives it. */
export const turnPhone = (session: CDPSession, alpha: number) =>
  session.send('DeviceOrientation.setDeviceOrientationOverride', { alpha, beta: 0, gamma: 0 });

/** Saves an academy's own things as a file; answers its text. */
export async function ownFile(page: Page): Promise<string> {
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    press(page, 'Save your own as a file'),
  ]);
  return readFileSync(await download.path(), 'utf8');
}

/** Takes an academy's own things from a file with this text. */
export async function takeFile(page: Page, name: string, text: string): Promise<void> {
  const [chooser] = await Promise.all([
    page.waitForEvent('filechooser'),
    press(page, 'Take some from a file'),
  ]);
  await chooser.setFiles({ name, mimeType: 'application/json', buffer: Buffer.from(text) });
}

/** A condition that keeps to one student's rows: other tests write to the same database. */
export const ofStudent = (name: string): string =>
  `student_id = (select id from student where name = '${name}')`;

interface Agreed {
  student: string;
  reading: string;
}

/** Where the newest change of a student of the demo was agreed. */
export async function agreedOf(product: Product, name: string): Promise<Agreed> {
  const [row] = await product.sql<Agreed>(
    `select change.student_id as student, change.reading_id as reading
     from change_entry as change
     join log_entry as entry on entry.academy_id = change.academy_id and entry.id = change.id
     join student on student.academy_id = change.academy_id and student.id = change.student_id
     where student.name = $1 order by entry.made_at desc limit 1`,
    [name],
  );
  return row!;
}

/** The newest card of a student, as it is looked at. */
export async function openCard(page: Page, product: Product, name: string): Promise<void> {
  const { student, reading } = await agreedOf(product, name);
  await page.goto(`${product.origin}/students/${student}/card/${reading}`);
  await expect(page.getByTestId('card-view')).toBeVisible();
}
