import type { MeasuredFeet, PhotoAdvice } from '@pedastance/core/photo';
import { useCallback, useEffect, useRef, useState } from 'react';
import { useStore } from 'zustand';
import { v7 as newId } from 'uuid';
import type { FeetFigure, FootName } from '@pedastance/core/setup';
import {
  cornersOf,
  endToSnap,
  readyPhoto,
  SNAP_PX,
  withCorners,
  type PhotoDraft,
} from '../../../domain/photoTaps';
import { changePhoto, keepPhoto, keptPhoto } from '../../../state/photo';
import { lesson } from '../../../state/lesson';
import type { FileFault, OpenedPhoto, PhotoStage } from '../../../workers/photoRequests';
import { startPhotoWorker, type PhotoWorker } from '../../../workers/photoWorker';
import { USUAL_HEIGHTS } from '@pedastance/core/photo';
import { useLessonContext } from '../context';

const draftOf = ({ width, height, camera, focalTold, sheets }: OpenedPhoto): PhotoDraft => ({
  id: newId(),
  takenAt: new Date().toISOString(),
  width,
  height,
  camera,
  focalTold,
  sheets,
  laid: 'A4',
  mat: null,
  clubLength: null,
  cornerDeviation: null,
  taps: {},
  dragged: {},
  noStick: false,
  hiddenHeel: { lead: false, trail: false },
  heights: USUAL_HEIGHTS,
});

/** A photo's worker, what it is at, and the way to open a photo. It ends with the screen. */
export function usePhotoWorker() {
  const running = useRef<PhotoWorker | null>(null);
  /** The photo whose sharp pixels the worker has. */
  const opened = useRef<string | null>(null);
  const [stage, setStage] = useState<PhotoStage | null>(null);
  const [fault, setFault] = useState<FileFault | { failed: string } | null>(null);
  const end = useCallback(() => {
    running.current?.end();
    running.current = null;
    opened.current = null;
  }, []);
  const worker = useCallback(() => (running.current ??= startPhotoWorker()), []);
  useEffect(() => end, [end]);
  const open = useCallback(
    async (file: Blob) => {
      setFault(null);
      setStage('reading');
      try {
        const answer = await worker().ask('open', file, setStage);
        if ('fault' in answer) return setFault(answer.fault);
        const photo = draftOf(answer);
        opened.current = photo.id;
        await keepPhoto(photo, answer.jpeg);
      } catch (error) {
        setFault({ failed: (error as Error).message });
      } finally {
        setStage(null);
      }
    },
    [worker],
  );
  const cancel = useCallback(() => {
    end();
    setStage(null);
  }, [end]);
  return { worker, opened, stage, fault, open, cancel };
}

/**
 * The picture of the open lesson's photo as an address of this page; null while it is read, undefined where it has gone.
 * A worker that has not opened it gets its pixels as they were kept.
 */
export function usePhotoPicture(worker: () => PhotoWorker, opened: { current: string | null }) {
  const id = useStore(lesson, (state) => state.draft?.photo?.id);
  const [picture, setPicture] = useState<string | null | undefined>(null);
  useEffect(() => {
    if (!id) return;
    let url: string | undefined;
    let left = false;
    void keptPhoto(id).then((jpeg) => {
      if (left) return;
      if (!jpeg) return setPicture(undefined);
      url = URL.createObjectURL(jpeg);
      setPicture(url);
      if (opened.current === id) return;
      opened.current = id;
      void worker().ask('reopen', jpeg);
    });
    return () => {
      left = true;
      setPicture(null);
      if (url) URL.revokeObjectURL(url);
    };
  }, [id, worker, opened]);
  return picture;
}

/** The feet as the photo has them now; null while taps are missing, 'nothing' where the taps fix no ground. */
export function useMeasured(worker: () => PhotoWorker): MeasuredFeet | 'nothing' | null {
  const { build } = useLessonContext();
  const photo = useStore(lesson, (state) => state.draft?.photo ?? null);
  const [measured, setMeasured] = useState<{ of: PhotoDraft; is: MeasuredFeet | 'nothing' } | null>(null);
  useEffect(() => {
    if (!photo) return;
    let left = false;
    let ready: ReturnType<typeof readyPhoto> = null;
    try {
      ready = readyPhoto(photo, build.figures);
    } catch {
      setMeasured({ of: photo, is: 'nothing' });
    }
    if (!ready) return;
    void worker()
      .ask('measure', ready)
      .then((is) => left || setMeasured({ of: photo, is: is ?? 'nothing' }));
    return () => {
      left = true;
    };
  }, [photo, build, worker]);
  // While a newer one is worked out the last one stands.
  return measured && photo && readyNow(photo, measured.of) ? measured.is : null;
}

/** What would make a figure surer, worked out once it is asked for; null until then. */
export function usePhotoAdvice(
  worker: () => PhotoWorker,
  photo: PhotoDraft,
  figure: FeetFigure | null,
): PhotoAdvice | null {
  const { build } = useLessonContext();
  const [advice, setAdvice] = useState<PhotoAdvice | null>(null);
  useEffect(() => {
    let left = false;
    setAdvice(null);
    const ready = figure && readyPhoto(photo, build.figures);
    if (ready)
      void worker()
        .ask('advise', { ...ready, figure })
        .then((answer) => left || setAdvice(answer));
    return () => {
      left = true;
    };
  }, [photo, figure, build, worker]);
  return advice;
}

const readyNow = (photo: PhotoDraft, of: PhotoDraft): boolean =>
  photo.id === of.id && Object.keys(photo.taps).length >= Object.keys(of.taps).length;

/** Moves the end of a shoe that faces the camera to the sole's edge, where the picture shows one. */
export async function snapShoe(worker: PhotoWorker, photo: PhotoDraft, foot: FootName): Promise<void> {
  const end = endToSnap(photo, foot);
  if (!end) return;
  const at = await worker.ask('snap', { at: end.at, toward: end.toward, reach: SNAP_PX });
  changePhoto((now) =>
    now.taps[end.name] === end.at ? { ...now, taps: { ...now.taps, [end.name]: at } } : now,
  );
}

/** Looks for the edges of a flat thing whose fourth corner was just tapped, and moves its corners there. */
export async function refineCorners(worker: PhotoWorker, photo: PhotoDraft): Promise<void> {
  const corners = cornersOf(photo);
  if (!corners || photo.cornerDeviation !== null) return;
  const { points, deviation } = await worker.ask('corners', corners);
  changePhoto((now) => (now.id === photo.id && cornersOf(now) ? withCorners(now, points, deviation) : now));
}
