/** A photo is at most so large, bytes. */
export const MOST_PHOTO_BYTES = 400_000;
/** So many photos a lesson can have. */
export const MOST_PHOTOS_A_LESSON = 20;
