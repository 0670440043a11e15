import { createHash } from 'node:crypto';
import { z } from 'zod';

const LOOPBACK_HOSTS = ['127.0.0.1', 'localhost', '::1'];

const optionalText = z.string().min(1).optional();

const Environment = z.object({
  HOST: z.string().default('127.0.0.1'),
  PORT: z.coerce.number().int().min(0).max(65535).default(4600),
  /** The database as the server's own role; what prepares the database answers it. */
  DATABASE_URL: z.string().min(1),
  SESSION_SECRET: z.string().min(32),
  WEB_ROOT: z.string().min(1),
  /** The time between two swings of the simulated student. */
  STAND_IN_PACE_MS: z.coerce.number().int().min(0).max(60_000).default(2500),
  /** The address users open; setting it makes this a production server. */
  PUBLIC_ORIGIN: z.url().optional(),
  /** Addresses or networks of the proxies in front, with commas; "loopback" is this machine. */
  TRUSTED_PROXIES: optionalText,
  TLS_CERTIFICATE_FILE: optionalText,
  TLS_KEY_FILE: optionalText,
  /** Where erasures are written down apart from the database, for restored backups. */
  ERASURES_FILE: optionalText,
  LOG_LEVEL: z.enum(['debug', 'info', 'warn', 'error', 'silent']).default('info'),
});

const PreparationEnvironment = z.object({
  /** Migrates and keeps accounts; may create roles. Never given to the server itself. */
  DATABASE_ADMIN_URL: z.string().min(1),
  /** The password of the role the server works as; made known to the database on start. */
  APPLICATION_PASSWORD: z.string().min(16),
  /** Whether the demo academies are loaded where nothing is. */
  DEMO: z.enum(['0', '1']).default('0'),
});

const RestorationEnvironment = z.object({
  DATABASE_ADMIN_URL: z.string().min(1),
  APPLICATION_PASSWORD: z.string().min(16),
  BACKUP_FILE: z.string().min(1),
  ERASURES_FILE: z.string().min(1),
  PG_RESTORE: z.string().min(1),
});

const OwnerResetEnvironment = z.object({
  DATABASE_ADMIN_URL: z.string().min(1),
  OWNER_EMAIL: z.string().trim().toLowerCase().pipe(z.email()),
  PUBLIC_ORIGIN: z.url().default('http://127.0.0.1:4600'),
});

export interface Settings {
  host: string;
  port: number;
  databaseUrl: string;
  sessionSecret: string;
  webRoot: string;
  /** Undefined on a coach's own machine; set, the server asks for HTTPS and refuses the demo accounts. */
  publicOrigin: string | undefined;
  trustedProxies: string[];
  tls: { certificateFile: string; keyFile: string } | undefined;
  standInPaceMs: number;
  erasuresFile: string | undefined;
  logLevel: string;
}

export interface Preparation {
  adminUrl: string;
  applicationPassword: string;
  demo: boolean;
}

/** What restoring a backup needs. */
export interface Restoration {
  adminUrl: string;
  applicationPassword: string;
  backupFile: string;
  erasuresFile: string;
  /** PostgreSQL's own program. */
  pgRestore: string;
}

/** What the application may do is granted to this role; nobody signs in as it. */
export const APPLICATION_ROLE = 'pedastance_app';

/**
 * The role the server signs in to one database as. Roles and their passwords belong to a whole
 * cluster, so each database has one of its own: two products on one cluster leave each other alone.
 */
export const signInRole = (database: string): string =>
  `${APPLICATION_ROLE}_${createHash('sha256').update(database).digest('hex').slice(0, 12)}`;

/** The database a URL names; without a name it is the user's, as PostgreSQL has it. */
export function databaseOf(url: string): string {
  const { pathname, username } = new URL(url);
  return decodeURIComponent(pathname.slice(1) || username);
}

/** The same database as `adminUrl`, as the role that row-level security binds. */
export function applicationUrl(adminUrl: string, password: string): string {
  const url = new URL(adminUrl);
  url.username = signInRole(databaseOf(adminUrl));
  url.password = password;
  return url.href;
}

function parsed<Shape extends z.ZodType>(
  shape: Shape,
  environment: Record<string, string | undefined>,
): z.output<Shape> {
  const result = shape.safeParse(environment);
  if (result.success) return result.data;
  const faults = result.error.issues.map((issue) => `${issue.path.join('.')}: ${issue.message}`);
  throw new Error(`Settings are not right:\n  ${faults.join('\n  ')}`);
}

/**
 * Reads the settings of the server from environment variables.
 * @throws Error naming every variable that is missing or wrong.
 */
export function readSettings(environment: Record<string, string | undefined>): Settings {
  const given = parsed(Environment, environment);
  if (Boolean(given.TLS_CERTIFICATE_FILE) !== Boolean(given.TLS_KEY_FILE)) {
    throw new Error('TLS_CERTIFICATE_FILE and TLS_KEY_FILE: expected both or neither');
  }
  const tls =
    given.TLS_CERTIFICATE_FILE && given.TLS_KEY_FILE
      ? { certificateFile: given.TLS_CERTIFICATE_FILE, keyFile: given.TLS_KEY_FILE }
      : undefined;
  const publicOrigin = given.PUBLIC_ORIGIN && new URL(given.PUBLIC_ORIGIN).origin;
  if (!publicOrigin && !LOOPBACK_HOSTS.includes(given.HOST)) {
    throw new Error(`HOST ${given.HOST} is not this machine alone: PUBLIC_ORIGIN is expected`);
  }
  if (publicOrigin && !publicOrigin.startsWith('https://')) {
    throw new Error(
      `PUBLIC_ORIGIN: expected an https address (by TLS_CERTIFICATE_FILE and TLS_KEY_FILE here, or by a proxy in front), found ${publicOrigin}`,
    );
  }
  const trustedProxies = given.TRUSTED_PROXIES?.split(',').map((each) => each.trim()) ?? [];
  if (publicOrigin && !tls && trustedProxies.length === 0) {
    throw new Error(
      'PUBLIC_ORIGIN is set and no certificate is: expected TRUSTED_PROXIES to name the proxy that ends TLS ("loopback" for one on this machine), or TLS_CERTIFICATE_FILE and TLS_KEY_FILE',
    );
  }
  return {
    host: given.HOST,
    port: given.PORT,
    databaseUrl: given.DATABASE_URL,
    sessionSecret: given.SESSION_SECRET,
    webRoot: given.WEB_ROOT,
    publicOrigin,
    trustedProxies,
    tls,
    standInPaceMs: given.STAND_IN_PACE_MS,
    erasuresFile: given.ERASURES_FILE,
    logLevel: given.LOG_LEVEL,
  };
}

/**
 * Reads what the preparation of the database needs from environment variables.
 * @throws Error naming every variable that is missing or wrong.
 */
export function readPreparation(environment: Record<string, string | undefined>): Preparation {
  const given = parsed(PreparationEnvironment, environment);
  return {
    adminUrl: given.DATABASE_ADMIN_URL,
    applicationPassword: given.APPLICATION_PASSWORD,
    demo: given.DEMO === '1',
  };
}

/** Reads what restoring a backup needs. @throws Error naming every variable that is missing or wrong */
export function readRestoration(environment: Record<string, string | undefined>): Restoration {
  const given = parsed(RestorationEnvironment, environment);
  return {
    adminUrl: given.DATABASE_ADMIN_URL,
    applicationPassword: given.APPLICATION_PASSWORD,
    backupFile: given.BACKUP_FILE,
    erasuresFile: given.ERASURES_FILE,
    pgRestore: given.PG_RESTORE,
  };
}

/** Reads whose password a link is for, and where the product is opened. @throws Error naming what is missing or wrong */
export function readOwnerReset(environment: Record<string, string | undefined>) {
  const given = parsed(OwnerResetEnvironment, environment);
  return {
    adminUrl: given.DATABASE_ADMIN_URL,
    email: given.OWNER_EMAIL,
    origin: new URL(given.PUBLIC_ORIGIN).origin,
  };
}
