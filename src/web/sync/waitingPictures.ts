/** Pictures of a jar that were taken in, and neither kept nor left out yet: this browser has them over a reload. */
import { database, gaveUp, type WaitingPicture } from './browserStore';
import { kitchenHere } from './kitchenHere';

export async function keepWaitingPictures(
  pictures: readonly Omit<WaitingPicture, 'kitchen'>[],
): Promise<void> {
  try {
    const kitchen = await kitchenHere();
    const db = await database();
    for (const picture of pictures) await db.put('pictures', { ...picture, kitchen });
  } catch {
    // Then they are there while the page is open.
    gaveUp();
  }
}

/** Of this jar, oldest first. */
export async function waitingPicturesOf(jarId: string): Promise<readonly WaitingPicture[]> {
  try {
    const kitchen = await kitchenHere();
    const all = await (await database()).getAllFromIndex('pictures', 'kitchen', kitchen);
    return all
      .filter((picture) => picture.jarId === jarId)
      .sort((a, b) => a.takenAt.localeCompare(b.takenAt));
  } catch {
    gaveUp();
    return [];
  }
}

/** Of all jars of this kitchen. */
export async function waitingPictureCount(): Promise<number> {
  try {
    return await (await database()).countFromIndex('pictures', 'kitchen', await kitchenHere());
  } catch {
    gaveUp();
    return 0;
  }
}

export async function letGoOfPicture(id: string): Promise<void> {
  try {
    await (await database()).delete('pictures', id);
  } catch {
    // It is asked about once more at the next visit.
    gaveUp();
  }
}
