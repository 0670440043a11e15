/** A photo is at most so large, bytes. */
export const MOST_PHOTO_BYTES = 400_000;
/** So many photos a lesson can have. */
export const MOST_PHOTOS_A_LESSON = 20;

/** Whether somebody said yes to photos of a student, the student or a guardian, and it stands. */
export const mayBePhotographed = ({
  consent,
}: {
  consent: { given: boolean; photos: boolean } | null;
}): boolean => consent !== null && consent.given && consent.photos;
