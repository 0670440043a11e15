import type { NewPhoto, PhotoListed, Student } from '@pedastance/contract';
import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import { currentOwner } from './account';
import { api } from './api';
import { useOutbox } from './outbox';
import { queuedPicture } from './queuedPictures';
import { useAsked } from './useAsked';

/** A photo that the server has, or one that still waits on this device. */
export type Photo = PhotoListed | NewPhoto;

/** A photo's picture, from this device while it waits here. @throws where it is the server's and cannot be fetched */
export async function pictureOf(photo: Photo): Promise<Blob> {
  const owner = currentOwner()!;
  const waiting = 'jpeg' in photo ? await queuedPicture(owner, photo.id) : null;
  return waiting ? new Blob([waiting], { type: 'image/jpeg' }) : api.picture(owner, photo.id);
}

/** A student's photos: those the server has, and those that still wait on this device. */
export function usePhotos(student: Student) {
  const queue = useOutbox((state) => state.queue);
  const waiting = useMemo(
    () =>
      queue.flatMap(({ writing }) =>
        writing.route === 'photo' && writing.body.studentId === student.id ? [writing.body] : [],
      ),
    [queue, student.id],
  );
  const stillWaiting = waiting.length;
  // One that has landed is the server's to tell of.
  const ask = useCallback(() => {
    void stillWaiting;
    return api.photos(currentOwner()!, student.id);
  }, [student.id, stillWaiting]);
  const { value, trouble, doing } = useAsked(ask);
  const photos = useMemo((): Photo[] => {
    const known = new Set(waiting.map(({ id }) => id));
    return [...waiting, ...(value ?? []).filter(({ id }) => !known.has(id))];
  }, [waiting, value]);
  return { photos, trouble, doing };
}

/** A photo's picture as an address of this page; null while it is fetched or where it cannot be. */
export function usePicture(photo: Photo): string | null {
  const [url, setUrl] = useState<string | null>(null);
  // A photo that waits becomes one that the server has: its picture stays as it is.
  const { id } = photo;
  const newest = useRef(photo);
  newest.current = photo;
  useEffect(() => {
    let made: string | undefined;
    let left = false;
    pictureOf(newest.current).then(
      (blob) => {
        if (left) return;
        made = URL.createObjectURL(blob);
        setUrl(made);
      },
      () => undefined,
    );
    return () => {
      left = true;
      if (made) URL.revokeObjectURL(made);
    };
  }, [id]);
  return url;
}
