import type { Camera, Doubts, FeetPhoto, Heights, MeasuredFeet, PhotoAdvice } from '@pedastance/core/photo';
import type { FeetFigure, Point } from '@pedastance/core/setup';
import type { PhotoSheet } from '../domain/photoTaps';

/** Why a file is not taken. */
export type FileFault =
  'not a picture' | 'too large' | 'moving' | 'cannot be read' | 'too small' | 'not kept small' | 'mirrored';

/** A photo as it was opened: scaled, without anything that the camera wrote into it. Everything is in its pixels. */
export interface OpenedPhoto {
  jpeg: Blob;
  width: number;
  height: number;
  camera: Camera;
  /** Whether the file told the lens's focal length. */
  focalTold: boolean;
  sheets: PhotoSheet[];
}

/** What is asked of the worker, and what it answers. */
export interface PhotoAsked {
  open: { of: Blob; answer: OpenedPhoto | { fault: FileFault } };
  /** A photo that was kept before: it is only to be looked at more closely. */
  reopen: { of: Blob; answer: null };
  corners: { of: Point[]; answer: { points: Point[]; deviation: number; sidesSeen: number } };
  snap: { of: { at: Point; toward: Point; reach: number }; answer: Point };
  measure: {
    of: { photo: FeetPhoto; heights: Heights; doubts: Doubts };
    answer: MeasuredFeet | null;
  };
  /** A photo's ground laid flat from above, with lines drawn over it, as a JPEG that a card can have. */
  flatten: {
    of: {
      jpeg: Blob;
      toPicture: readonly number[];
      lines: readonly { points: readonly Point[]; colour: string }[];
    };
    answer: Blob;
  };
  advise: {
    of: { photo: FeetPhoto; heights: Heights; doubts: Doubts; figure: FeetFigure };
    answer: PhotoAdvice;
  };
}
export type PhotoAsk = keyof PhotoAsked;

/** How far the opening of a photo has come. */
export type PhotoStage = 'reading' | 'looking for the sheet' | 'keeping it small';

export interface PhotoQuestion<Ask extends PhotoAsk = PhotoAsk> {
  number: number;
  ask: Ask;
  of: PhotoAsked[Ask]['of'];
}

export type PhotoReply =
  | { number: number; stage: PhotoStage }
  | { number: number; answer: unknown }
  | { number: number; failed: string };
