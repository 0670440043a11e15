import {
  StandIn,
  NewBuild,
  NewCardLink,
  NewConsent,
  NewDrill,
  NewEntry,
  NewLesson,
  NewMatSession,
  NewMethodVersion,
  NewOwnLadder,
  NewPainAnswer,
  NewPhoto,
  NewScreen,
  NewStudent,
  StudentEdit,
  methodOf,
} from '@pedastance/contract';
import type { RequestHandler } from 'express';
import { simulateShots } from '../devices/simulateShots';
import { addCheckedEntry } from '../recompute/check';
import { addBuild } from '../store/builds';
import { withEncodedPictures } from '../store/cards';
import { addMatSession } from '../store/matSessions';
import { addOwn, standingOwn } from '../store/ownThings';
import { addLesson, landedEntry } from '../store/lessons';
import { addMethodVersion } from '../store/methods';
import { addPainAnswer } from '../store/painAnswers';
import { withEncodedPicture } from '../store/photos';
import { addScreen } from '../store/screens';
import { addStudent, editStudent, findStudent } from '../store/students';
import {
  cardCalendar,
  checkedCardLink,
  countSeen,
  readCard,
  readPictures,
  revokeCard,
  studentCards,
  takeTicks,
  withCards,
} from './cards';
import { confirmSessionHere, sessionPlace } from './elsewhere';
import { landing } from './landing';
import {
  changeRole,
  endSession,
  invite,
  invitedTo,
  joinAcademy,
  listSessions,
  newPassword,
  people,
  resetColleague,
  resetFor,
  resetPassword,
  startOwnAcademy,
  takeInviteBack,
} from './academy';
import {
  keepPasskey,
  listPasskeys,
  passkeyChallenge,
  passkeyOptions,
  removePasskey,
  signInByPasskey,
} from './passkeys';
import { checkedPhoto, photoPicture, removePhoto, studentPhotos } from './photos';
import { recover, recoveryLeft, renewRecovery } from './recovery';
import {
  academyPrivacy,
  actsSeen,
  askForErasure,
  checkedConsent,
  studentPrivacy,
  takeErasureBack,
} from './privacy';
import { changes, methodVersions, reading, studentPage, studentWithLog, today } from './reads';
import type { Services } from './services';
import { matStream } from './matStream';
import { shotStream } from './shotStream';
import { signIn, signOut, whoIsSignedIn } from './signIn';
import { exportAcademy, exportStudent, exportTable, importRecords } from './transfer';

/** Every route says who may call it; there is no default. */
export interface Route {
  method: 'get' | 'post' | 'put' | 'delete';
  path: string;
  access: 'anyone' | 'instructor' | 'stream' | 'download';
  /** Whether a session that is used elsewhere shows the password again first. */
  confirms?: true;
  handler: RequestHandler;
}

/** The answer to a student, or an edit of one, is the student. */
const idOf = (answer: object): string => (answer as { id: string }).id;

/** All routes of the API. */
export function routes(services: Services, demoAllowed: boolean): Route[] {
  const instructor = 'instructor' as const;
  const anyone = 'anyone' as const;
  return [
    {
      method: 'get',
      path: '/api/health',
      access: anyone,
      handler: (_request, response) => {
        response.json({ status: 'up' });
      },
    },
    {
      method: 'get',
      path: '/api/ready',
      access: anyone,
      handler: async (_request, response) => {
        await services.pool.query('select 1');
        response.json({ status: 'ready' });
      },
    },
    { method: 'post', path: '/api/session', access: anyone, handler: signIn(services, demoAllowed) },
    { method: 'get', path: '/api/session', access: anyone, handler: whoIsSignedIn(services) },
    { method: 'delete', path: '/api/session', access: instructor, handler: signOut },
    { method: 'get', path: '/api/session/place', access: instructor, handler: sessionPlace(services) },
    { method: 'put', path: '/api/session/place', access: instructor, handler: confirmSessionHere(services) },
    { method: 'post', path: '/api/academy', access: anyone, handler: startOwnAcademy(services) },
    { method: 'post', path: '/api/invitation', access: anyone, handler: invitedTo(services) },
    { method: 'post', path: '/api/colleagues', access: anyone, handler: joinAcademy(services) },
    { method: 'get', path: '/api/colleagues', access: instructor, handler: people(services) },
    {
      method: 'put',
      path: '/api/colleagues',
      access: instructor,
      confirms: true,
      handler: changeRole(services),
    },
    { method: 'post', path: '/api/invites', access: instructor, confirms: true, handler: invite(services) },
    { method: 'delete', path: '/api/invites', access: instructor, handler: takeInviteBack(services) },
    { method: 'put', path: '/api/password', access: instructor, handler: newPassword(services) },
    {
      method: 'post',
      path: '/api/resets',
      access: instructor,
      confirms: true,
      handler: resetColleague(services),
    },
    { method: 'post', path: '/api/reset', access: anyone, handler: resetFor(services) },
    { method: 'put', path: '/api/reset', access: anyone, handler: resetPassword(services) },
    { method: 'put', path: '/api/recovery', access: anyone, handler: recover(services) },
    { method: 'get', path: '/api/recovery-codes', access: instructor, handler: recoveryLeft(services) },
    { method: 'post', path: '/api/recovery-codes', access: instructor, handler: renewRecovery(services) },
    {
      method: 'post',
      path: '/api/passkeys/options',
      access: instructor,
      handler: passkeyOptions(services),
    },
    { method: 'post', path: '/api/passkeys', access: instructor, handler: keepPasskey(services) },
    { method: 'get', path: '/api/passkeys', access: instructor, handler: listPasskeys(services) },
    { method: 'delete', path: '/api/passkeys', access: instructor, handler: removePasskey(services) },
    {
      method: 'post',
      path: '/api/session/passkey/options',
      access: anyone,
      handler: passkeyChallenge(services),
    },
    { method: 'post', path: '/api/session/passkey', access: anyone, handler: signInByPasskey(services) },
    { method: 'get', path: '/api/sessions', access: instructor, handler: listSessions(services) },
    { method: 'delete', path: '/api/sessions', access: instructor, handler: endSession(services) },
    { method: 'get', path: '/api/changes', access: instructor, handler: reading(services, changes) },
    {
      method: 'get',
      path: '/api/methods/:methodId',
      access: instructor,
      handler: reading(services, methodVersions),
    },
    {
      method: 'post',
      path: '/api/methods',
      access: instructor,
      handler: landing(services, {
        route: 'method',
        schema: NewMethodVersion,
        add: addMethodVersion,
        again: async (_client, body) => methodOf(body),
      }),
    },
    { method: 'get', path: '/api/students', access: instructor, handler: reading(services, studentPage) },
    {
      method: 'get',
      path: '/api/students/:studentId',
      access: instructor,
      handler: reading(services, studentWithLog),
    },
    {
      method: 'post',
      path: '/api/students',
      access: instructor,
      handler: landing(services, {
        route: 'student',
        schema: NewStudent,
        add: addStudent,
        studentOf: idOf,
        again: (client, body) => findStudent(client, body.id),
      }),
    },
    {
      method: 'put',
      path: '/api/students',
      access: instructor,
      handler: landing(services, {
        route: 'student edit',
        schema: StudentEdit,
        add: editStudent,
        studentOf: idOf,
        again: (client, body) => findStudent(client, body.studentId),
      }),
    },
    {
      method: 'post',
      path: '/api/builds',
      access: instructor,
      handler: landing(services, { route: 'build', schema: NewBuild, add: addBuild }),
    },
    {
      method: 'post',
      path: '/api/screens',
      access: instructor,
      handler: landing(services, { route: 'screen', schema: NewScreen, add: addScreen }),
    },
    {
      method: 'post',
      path: '/api/consents',
      access: instructor,
      handler: landing(services, { route: 'consent', schema: NewConsent, add: checkedConsent }),
    },
    {
      method: 'post',
      path: '/api/pain-answers',
      access: instructor,
      handler: landing(services, { route: 'pain answer', schema: NewPainAnswer, add: addPainAnswer }),
    },
    {
      method: 'get',
      path: '/api/students/:studentId/privacy',
      access: instructor,
      handler: reading(services, studentPrivacy),
    },
    {
      method: 'post',
      path: '/api/card-links',
      access: instructor,
      handler: landing(services, {
        route: 'card link',
        schema: NewCardLink,
        ready: withEncodedPictures,
        add: checkedCardLink,
        again: async (_client, { id, studentId }) => ({ id, studentId }),
      }),
    },
    {
      method: 'post',
      path: '/api/drills',
      access: instructor,
      handler: landing(services, {
        route: 'drill',
        schema: NewDrill,
        add: addOwn('drill'),
        again: async (_client, body) => body,
      }),
    },
    {
      method: 'get',
      path: '/api/drills',
      access: instructor,
      handler: reading(services, async (client) =>
        (await standingOwn(client, 'drill')).map(({ record }) => record),
      ),
    },
    {
      method: 'post',
      path: '/api/ladders',
      access: instructor,
      handler: landing(services, {
        route: 'ladder',
        schema: NewOwnLadder,
        add: addOwn('ladder'),
        again: async (_client, body) => body,
      }),
    },
    {
      method: 'get',
      path: '/api/ladders',
      access: instructor,
      handler: reading(services, async (client) =>
        (await standingOwn(client, 'ladder')).map(({ record }) => record),
      ),
    },
    {
      method: 'post',
      path: '/api/photos',
      access: instructor,
      handler: landing(services, {
        route: 'photo',
        schema: NewPhoto,
        ready: withEncodedPicture,
        add: checkedPhoto,
        again: async (_client, { jpeg: _kept, ...listed }) => listed,
      }),
    },
    { method: 'delete', path: '/api/photos', access: instructor, handler: removePhoto(services) },
    {
      method: 'get',
      path: '/api/students/:studentId/photos',
      access: instructor,
      handler: reading(services, studentPhotos),
    },
    { method: 'get', path: '/api/photos/:photoId', access: instructor, handler: photoPicture(services) },
    { method: 'delete', path: '/api/card-links', access: instructor, handler: revokeCard(services) },
    {
      method: 'get',
      path: '/api/students/:studentId/cards',
      access: instructor,
      handler: reading(services, studentCards),
    },
    { method: 'post', path: '/api/card', access: anyone, handler: readCard(services) },
    { method: 'post', path: '/api/card/pictures', access: anyone, handler: readPictures(services) },
    { method: 'post', path: '/api/card/seen', access: anyone, handler: countSeen(services) },
    { method: 'post', path: '/api/card/ticks', access: anyone, handler: takeTicks(services) },
    { method: 'post', path: '/api/card/calendar', access: anyone, handler: cardCalendar(services) },
    { method: 'get', path: '/api/today', access: instructor, handler: reading(services, today) },
    {
      method: 'get',
      path: '/api/exports/academy',
      confirms: true,
      access: 'download',
      handler: exportAcademy(services),
    },
    {
      method: 'get',
      path: '/api/exports/students/:studentId',
      confirms: true,
      access: 'download',
      handler: exportStudent(services),
    },
    {
      method: 'get',
      path: '/api/exports/tables/:table',
      confirms: true,
      access: 'download',
      handler: exportTable(services),
    },
    { method: 'post', path: '/api/imports', access: instructor, handler: importRecords(services) },
    { method: 'get', path: '/api/privacy', access: instructor, handler: academyPrivacy(services) },
    { method: 'put', path: '/api/privacy/seen', access: instructor, handler: actsSeen(services) },
    {
      method: 'post',
      path: '/api/erasures',
      confirms: true,
      access: instructor,
      handler: askForErasure(services),
    },
    { method: 'delete', path: '/api/erasures', access: instructor, handler: takeErasureBack(services) },
    {
      method: 'post',
      path: '/api/lessons',
      access: instructor,
      handler: landing(services, { route: 'lesson', schema: NewLesson, add: addLesson }),
    },
    {
      method: 'post',
      path: '/api/entries',
      access: instructor,
      handler: landing(services, {
        route: 'entry',
        schema: NewEntry,
        add: withCards(addCheckedEntry),
        again: landedEntry,
      }),
    },
    {
      method: 'post',
      path: '/api/stand-in',
      access: instructor,
      handler: landing(services, {
        route: 'stand-in',
        schema: StandIn,
        add: async (client, body, writer) => {
          await simulateShots(client, body, writer, services.standInPaceMs);
          return { id: body.id, studentId: body.studentId };
        },
        again: async (_client, { id, studentId }) => ({ id, studentId }),
      }),
    },
    {
      method: 'post',
      path: '/api/mat-sessions',
      access: instructor,
      handler: landing(services, {
        route: 'mat session',
        schema: NewMatSession,
        add: addMatSession,
        again: async (_client, { id, studentId }) => ({ id, studentId }),
      }),
    },
    {
      method: 'get',
      path: '/api/mat-sessions/:sessionId/frames',
      access: 'stream',
      handler: matStream(services),
    },
    {
      method: 'get',
      path: '/api/stand-in/:sessionId/shots',
      access: 'stream',
      handler: shotStream(services.shotFeed),
    },
  ];
}
