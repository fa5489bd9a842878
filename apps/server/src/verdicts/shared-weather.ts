import { deserialize, serialize } from 'node:v8';
import type { EngineWeather } from './engine-job.js';

/** Weather in memory that all threads see, so that it is not copied with every question. */
export interface SharedWeather {
  readonly stamp: string;
  readonly bytes: SharedArrayBuffer;
}

/** Puts weather where all threads see it; the same weather once. */
export class WeatherShare {
  private last: SharedWeather | null = null;

  of(weather: EngineWeather): SharedWeather {
    const { stamp } = weather;
    if (this.last?.stamp === stamp) return this.last;
    const written = serialize(weather);
    const bytes = new SharedArrayBuffer(written.byteLength);
    new Uint8Array(bytes).set(written);
    this.last = { stamp, bytes };
    return this.last;
  }
}

/** Reads shared weather in a thread; the same weather once. */
export class WeatherReader {
  private last: EngineWeather | null = null;

  of({ stamp, bytes }: SharedWeather): EngineWeather {
    if (this.last?.stamp !== stamp) this.last = deserialize(Buffer.from(bytes)) as EngineWeather;
    return this.last;
  }
}
