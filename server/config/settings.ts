import { createHash } from 'node:crypto';
import { z } from 'zod';

const LOOPBACK_HOSTS = ['127.0.0.1', 'localhost', '::1'];

const optionalText = z.string().min(1).optional();

const Environment = z.object({
  HOST: z.string().default('127.0.0.1'),
  PORT: z.coerce.number().int().min(0).max(65535).default(4600),
  /** Migrates and keeps accounts; may create roles. Used before the first request only. */
  DATABASE_ADMIN_URL: z.string().min(1),
  SESSION_SECRET: z.string().min(32),
  /** The password of the role the server works as; made known to the database on start. */
  APPLICATION_PASSWORD: z.string().min(16),
  WEB_ROOT: z.string().min(1),
  DEMO: z.enum(['0', '1']).default('1'),
  /** From one swing of the simulated student to the next. */
  STAND_IN_PACE_MS: z.coerce.number().int().min(0).max(60_000).default(2500),
  /** Where the app is reached from outside, when that is not this machine. */
  PUBLIC_ORIGIN: z.url().optional(),
  TLS_CERTIFICATE_FILE: optionalText,
  TLS_KEY_FILE: optionalText,
  LOG_LEVEL: z.enum(['debug', 'info', 'warn', 'error', 'silent']).default('info'),
});

export interface Settings {
  host: string;
  port: number;
  adminUrl: string;
  applicationUrl: string;
  applicationPassword: string;
  sessionSecret: string;
  webRoot: string;
  demo: boolean;
  onLoopback: boolean;
  publicOrigin: string | undefined;
  tls: { certificateFile: string; keyFile: string } | undefined;
  standInPaceMs: number;
  logLevel: string;
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

/**
 * Reads the settings from environment variables.
 * @throws Error naming every variable that is missing or wrong.
 */
export function readSettings(environment: Record<string, string | undefined>): Settings {
  const parsed = Environment.safeParse(environment);
  if (!parsed.success) {
    const faults = parsed.error.issues.map((issue) => `${issue.path.join('.')}: ${issue.message}`);
    throw new Error(`Settings are not right:\n  ${faults.join('\n  ')}`);
  }
  const given = parsed.data;
  const onLoopback = LOOPBACK_HOSTS.includes(given.HOST);
  if (Boolean(given.TLS_CERTIFICATE_FILE) !== Boolean(given.TLS_KEY_FILE)) {
    throw new Error('TLS_CERTIFICATE_FILE and TLS_KEY_FILE: expected both or neither');
  }
  const publicOrigin = given.PUBLIC_ORIGIN && new URL(given.PUBLIC_ORIGIN).origin;
  if (!onLoopback && !publicOrigin?.startsWith('https://')) {
    throw new Error(
      `HOST ${given.HOST} is not this machine alone: PUBLIC_ORIGIN is expected, and it has to be https (by TLS_CERTIFICATE_FILE and TLS_KEY_FILE here, or by a proxy in front)`,
    );
  }
  return {
    host: given.HOST,
    port: given.PORT,
    adminUrl: given.DATABASE_ADMIN_URL,
    applicationUrl: applicationUrl(given.DATABASE_ADMIN_URL, given.APPLICATION_PASSWORD),
    applicationPassword: given.APPLICATION_PASSWORD,
    sessionSecret: given.SESSION_SECRET,
    webRoot: given.WEB_ROOT,
    demo: given.DEMO === '1',
    onLoopback,
    publicOrigin,
    tls:
      given.TLS_CERTIFICATE_FILE && given.TLS_KEY_FILE
        ? { certificateFile: given.TLS_CERTIFICATE_FILE, keyFile: given.TLS_KEY_FILE }
        : undefined,
    standInPaceMs: given.STAND_IN_PACE_MS,
    logLevel: given.LOG_LEVEL,
  };
}
