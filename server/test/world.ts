import { randomBytes } from 'node:crypto';
import { mkdtempSync, writeFileSync } from 'node:fs';
import type { Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { OWNER_HEADER, ownerOf, type Identity } from '@pedastance/contract';
import type { HouseMethod } from '@pedastance/core';
import { SHOULDERS_AND_NEUTRAL } from '@pedastance/core/method/presets';
import type { Express } from 'express';
import { Client, type Pool } from 'pg';
import pino from 'pino';
import { v7 as uuidv7 } from 'uuid';
import { openAttempts } from '../accounts/attempts';
import { hashPassword } from '../accounts/passwords';
import { applicationUrl } from '../config/settings';
import { createApp } from '../http/app';
import { openMatFeed } from '../http/matFeed';
import { openShotFeed } from '../http/shotFeed';
import { addAccount } from '../store/accounts';
import { inAcademy, openDatabase } from '../store/database';
import { addMethodVersion } from '../store/methods';
import { migrate } from '../store/migrate';
import { sessionCookie } from './sessionCookie';
import { MIGRATED } from './templates';

export const APPLICATION_PASSWORD = 'a password for tests alone';
export const PASSWORD = 'right-and-long';

function clusterUrl(): string {
  const url = process.env.TEST_DATABASE_URL;
  if (!url)
    throw new Error('TEST_DATABASE_URL is missing: the test command starts a PostgreSQL and sets it.');
  return url;
}

/**
 * A database of its own in the tests' cluster, empty or cloned from the migrated template where the
 * test command made one; answers its address for the administrator.
 */
export async function createDatabase(
  from: 'nothing' | 'migrated' = 'nothing',
): Promise<{ adminUrl: string; drop: () => Promise<void> }> {
  const name = `test_${randomBytes(8).toString('hex')}`;
  const run = async (sql: string) => {
    const client = new Client({ connectionString: clusterUrl() });
    await client.connect();
    await client.query(sql).finally(() => client.end());
  };
  const template = from === 'migrated' && process.env.TEST_TEMPLATES ? ` template ${MIGRATED}` : '';
  await run(`create database ${name}${template}`);
  const url = new URL(clusterUrl());
  url.pathname = `/${name}`;
  return { adminUrl: url.href, drop: () => run(`drop database ${name} with (force)`) };
}

/** Runs SQL as the administrator. */
export async function asAdmin<Row>(adminUrl: string, sql: string, values: unknown[] = []): Promise<Row[]> {
  const client = new Client({ connectionString: adminUrl });
  await client.connect();
  try {
    return (await client.query(sql, values)).rows as Row[];
  } finally {
    await client.end();
  }
}

export interface Answer {
  status: number;
  // Tests check the answer field by field, so it has no type here.
  body: any; // eslint-disable-line @typescript-eslint/no-explicit-any
  headers: Headers;
}

export interface Coach {
  identity: Identity;
  email: string;
  ask: (method: string, path: string, body?: unknown, headers?: Record<string, string>) => Promise<Answer>;
  /** The headers of each request, for tests that send one themselves. */
  headers: Record<string, string>;
}

export interface World {
  adminUrl: string;
  pool: Pool;
  app: Express;
  origin: string;
  method: HouseMethod;
  /** Two academies, and a second instructor in the first. */
  lantern: Coach;
  colleague: Coach;
  harbour: Coach;
  /** Of an academy whose students are not made up. */
  real: Coach;
  ask: Coach['ask'];
  signIn: (email: string, password?: string) => Promise<Answer>;
  close: () => Promise<void>;
}

const asker =
  (origin: string, fixed: Record<string, string>): Coach['ask'] =>
  async (method, path, body, headers = {}) => {
    const response = await fetch(`${origin}${path}`, {
      method,
      headers: {
        origin,
        ...(body !== undefined && { 'content-type': 'application/json' }),
        ...fixed,
        ...headers,
      },
      ...(body !== undefined && { body: typeof body === 'string' ? body : JSON.stringify(body) }),
    });
    const text = await response.text();
    const isJson = /\/(problem\+)?json/.test(response.headers.get('content-type') ?? '');
    return {
      status: response.status,
      body: isJson && text ? JSON.parse(text) : text,
      headers: response.headers,
    };
  };

/** A migrated database with two academies, and the real app listening before it. */
export async function openWorld({ publicOrigin }: { publicOrigin?: string } = {}): Promise<World> {
  const { adminUrl, drop } = await createDatabase('migrated');
  await migrate(adminUrl, APPLICATION_PASSWORD);
  const methodId = uuidv7();
  const method: HouseMethod = { id: methodId, version: 1, ...SHOULDERS_AND_NEUTRAL };
  const passwordHash = await hashPassword(PASSWORD);
  const accounts: (Identity & { email: string; demo: boolean })[] = [];
  const academy = (academyName: string, madeUp = true) => ({ academyId: uuidv7(), academyName, madeUp });
  const lantern = academy('Test Lantern');
  const instructor = (of: ReturnType<typeof academy>, name: string, demo = false) =>
    accounts.push({
      ...of,
      instructorId: uuidv7(),
      instructorName: name,
      email: `${name.toLowerCase()}@test.example`,
      demo,
    });
  instructor(lantern, 'Ada');
  instructor(lantern, 'Bo');
  instructor(academy('Test Harbour'), 'Cy');
  instructor(lantern, 'Demo', true);
  instructor(academy('Test Quarry', false), 'Dee');

  const owner = new Client({ connectionString: adminUrl });
  await owner.connect();
  await owner.query('set role pedastance_owner');
  for (const account of accounts) await addAccount(owner, { ...account, passwordHash }, new Date());
  await owner.end();

  const pool = await openDatabase(applicationUrl(adminUrl, APPLICATION_PASSWORD));
  const founders = new Map(accounts.map((account) => [account.academyId, account.instructorId]));
  for (const [academyId, instructorId] of founders) {
    const writer = { academyId, instructorId, receivedAt: new Date() };
    const version = { id: uuidv7(), madeAt: writer.receivedAt.toISOString(), methodId, version: 1 };
    await inAcademy(pool, academyId, (client) =>
      addMethodVersion(client, { ...version, ...SHOULDERS_AND_NEUTRAL }, writer),
    );
  }
  const webRoot = mkdtempSync(join(tmpdir(), 'pedastance-web-'));
  writeFileSync(join(webRoot, 'index.html'), '<!doctype html><title>shell</title>');
  const log = pino({ level: 'silent' });
  const shotFeed = openShotFeed(pool, log);
  const matFeed = openMatFeed(pool, log);
  const app = createApp(
    {
      webRoot,
      sessionSecret: 'x'.repeat(40),
      publicOrigin,
      trustedProxies: publicOrigin ? ['loopback'] : [],
    },
    { pool, attempts: openAttempts(pool), shotFeed, matFeed, standInPaceMs: 30 },
    log,
  );
  const server = await new Promise<Server>((resolve) => {
    const listening = app.listen(0, '127.0.0.1', () => resolve(listening));
  });
  const origin = `http://127.0.0.1:${(server.address() as AddressInfo).port}`;
  const ask = asker(origin, {});
  const signIn = (email: string, password = PASSWORD) => ask('POST', '/api/session', { email, password });

  const coach = async (index: number): Promise<Coach> => {
    const { email, demo: _demo, ...identity } = accounts[index]!;
    if (publicOrigin) return { identity, email, ask, headers: {} };
    const answer = await signIn(email);
    const cookie = sessionCookie(answer.headers).split(';')[0]!;
    const headers = { cookie, [OWNER_HEADER]: ownerOf(identity) };
    return { identity, email, ask: asker(origin, headers), headers };
  };

  return {
    adminUrl,
    pool,
    app,
    origin,
    method,
    lantern: await coach(0),
    colleague: await coach(1),
    harbour: await coach(2),
    real: await coach(4),
    ask,
    signIn,
    close: async () => {
      shotFeed.close();
      matFeed.close();
      server.closeAllConnections();
      await new Promise((resolve) => server.close(resolve));
      await pool.end();
      await drop();
    },
  };
}
