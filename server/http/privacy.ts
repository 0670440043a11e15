import {
  ActsSeen,
  AskErasure,
  TakeErasureBack,
  type AcademyPrivacy,
  type NewConsent,
  type StudentPrivacy,
} from '@pedastance/contract';
import { allows, consentCounts } from '@pedastance/contract/consentCounts';
import { isMinor } from '@pedastance/core/body';
import type { RequestHandler } from 'express';
import type { ClientBase } from 'pg';
import { v7 as uuidv7 } from 'uuid';
import { auditList, noteAct, noteActsSeen } from '../store/audit';
import { takePicturesOff } from '../store/cards';
import { addConsent, listConsents } from '../store/consents';
import { inAcademy } from '../store/database';
import { askErasure, openErasures, takeErasureBack as takeBack } from '../store/erasures';
import type { Writer } from '../store/rows';
import { findStudent, heldStudent } from '../store/students';
import { notOwner, refuseUnlessOwner } from './academy';
import { parsedBody } from './guards';
import { badInput, Refusal } from './problems';
import { studentInPath, type Read } from './reads';
import type { Services } from './services';

const DAY_MS = 24 * 60 * 60 * 1000;

/**
 * Adds a word on consent: a no counts as it arrives, a yes to more where it was given knowing the newest answer.
 * @throws Refusal where a minor consents alone, or another answer came meanwhile
 */
export async function checkedConsent(
  client: ClientBase,
  consent: NewConsent,
  writer: Writer,
): Promise<NewConsent> {
  const student = await heldStudent(client, consent.studentId);
  const dayIn = (ms: number) => new Date(writer.receivedAt.getTime() + ms).toISOString().slice(0, 10);
  const today = dayIn(0);
  if (consent.given && consent.on > dayIn(DAY_MS)) throw badInput('on', 'a day that has come', consent.on);
  if (consent.given && consent.by === 'student' && (isMinor(student, consent.on) || isMinor(student, today)))
    throw badInput('by', 'a guardian, for a minor', 'the student alone');
  const newest = student.consent;
  if (!consentCounts(consent, newest))
    throw new Refusal(409, 'consent-meanwhile', 'Another answer on consent was noted meanwhile', {
      detail: 'Ask again, and note what is said now.',
    });
  if (newest && allows(consent) < allows(newest))
    await noteAct(client, writer, 'consent withdrawn', { student: student.id });
  if (!consent.sharing) await takePicturesOff(client, student.id);
  return addConsent(client, consent, writer);
}

/** A student's words on consent, and the erasure that waits. */
export const studentPrivacy: Read = async (client, request): Promise<StudentPrivacy> => {
  const { id } = await findStudent(client, studentInPath(request));
  const [erasure] = await openErasures(client, id);
  return { consents: await listConsents(client, id), erasure: erasure ?? null };
};

/** What waits to be erased and what was done with data and access, for owners. */
export const academyPrivacy =
  ({ pool }: Services): RequestHandler =>
  async (request, response) => {
    const { academyId, instructorId } = request.session.identity!;
    const answer = await inAcademy(
      pool,
      academyId,
      async (client): Promise<AcademyPrivacy> => {
        await refuseUnlessOwner(client, instructorId);
        return { erasures: await openErasures(client), audit: await auditList(client) };
      },
      'read only',
    );
    response.json(answer);
  };

/** An owner has looked through what was done. */
export const actsSeen =
  ({ pool }: Services): RequestHandler =>
  async (request, response) => {
    const { newest } = parsedBody(ActsSeen, request.body);
    const { academyId, instructorId } = request.session.identity!;
    await inAcademy(pool, academyId, async (client) => {
      await refuseUnlessOwner(client, instructorId);
      await noteActsSeen(client, instructorId, newest);
    });
    response.status(204).end();
  };

/** Asks for a student's erasure, which waits a day; the name that is typed has to be the student's. */
export const askForErasure =
  ({ pool }: Services): RequestHandler =>
  async (request, response) => {
    const { studentId, name } = parsedBody(AskErasure, request.body);
    const { academyId, instructorId } = request.session.identity!;
    await inAcademy(pool, academyId, async (client) => {
      const student = await findStudent(client, studentId);
      await refuseUnlessOwner(client, instructorId);
      if (name !== student.name) throw badInput('name', 'the student’s name as it is written', 'another');
      const asked = await askErasure(client, instructorId, studentId, uuidv7());
      if (asked === 'waits already')
        throw new Refusal(409, 'waits-already', 'This erasure waits already', {
          detail: 'It can be taken back until it is carried out.',
        });
    });
    response.status(201).json({});
  };

/** Takes an erasure back while it waits. */
export const takeErasureBack =
  ({ pool }: Services): RequestHandler =>
  async (request, response) => {
    const { studentId } = parsedBody(TakeErasureBack, request.body);
    const { academyId, instructorId } = request.session.identity!;
    const done = await inAcademy(pool, academyId, (client) => takeBack(client, instructorId, studentId));
    if (done === 'not an owner') throw notOwner();
    if (done === 'nobody') throw badInput('studentId', 'a student whose erasure waits', 'another');
    response.status(204).end();
  };
