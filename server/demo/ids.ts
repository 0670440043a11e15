import { v7 as uuidv7 } from 'uuid';

/** An identifier of a moment, as a device would have made it then. */
export const idAt = (moment: Date): string => uuidv7({ msecs: moment.getTime() });
