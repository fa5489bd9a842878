import { isRefusal } from './run-refusals.js';
import type { RunShelf } from './run-shelf.js';
import type { RunServer } from './run-view.js';

interface PhotoWay {
  readonly shelf: RunShelf;
  readonly server: RunServer;
  readonly washId: string;
}

/** Sends the photographs that are on this phone only; one that the server refuses is marked and does not hold up the others. */
export async function sendPhotos({ shelf, server, washId }: PhotoWay, onEach: () => void): Promise<void> {
  for await (const photo of shelf.unsentPhotos()) {
    try {
      await server.sendPhoto(washId, photo.id, new Blob([photo.bytes], { type: photo.mediaType }));
      await shelf.setPhoto({ ...photo, state: 'sent' });
    } catch (error) {
      if (!isRefusal(error)) throw error;
      await shelf.setPhoto({ ...photo, state: 'refused', fault: error.message });
    }
    onEach();
  }
}
