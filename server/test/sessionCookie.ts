import { SESSION_COOKIE } from '../accounts/sessions';

/** The session's cookie of an answer, which may set others beside it. */
export const sessionCookie = (headers: Headers): string =>
  headers.getSetCookie().find((cookie) => cookie.startsWith(`${SESSION_COOKIE}=`))!;
