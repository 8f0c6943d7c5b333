import type { Walk } from '../api/client';

/** Where somebody stands, degrees of WGS 84. */
export interface Here {
  longitudeDeg: number;
  latitudeDeg: number;
}

const M_PER_DEG = 111_320;

/** From here to about the middle of a field, m: near enough to put fields in order. */
export function metresTo(here: Here, place: Walk['places'][number]): number {
  const north = (place.latitudeDeg - here.latitudeDeg) * M_PER_DEG;
  const shrink = Math.cos((here.latitudeDeg * Math.PI) / 180);
  const east = (place.longitudeDeg - here.longitudeDeg) * M_PER_DEG * shrink;
  return Math.hypot(north, east);
}

/** Fields with the nearest first; those that are not drawn come last, in the farm's order. */
export function nearestFirst(walk: Walk, here: Here): Walk['fields'] {
  const metres = new Map(walk.places.map((p) => [p.fieldId, metresTo(here, p)]));
  const of = (f: Walk['fields'][number]) => metres.get(f.fieldId) ?? Infinity;
  return [...walk.fields].sort((a, b) => (of(a) === of(b) ? 0 : of(a) - of(b)));
}

/** Where this device is; null where it does not know or nobody lets it say. */
export function whereAmI(): Promise<Here | null> {
  return new Promise((done) => {
    if (!('geolocation' in navigator)) return done(null);
    navigator.geolocation.getCurrentPosition(
      ({ coords }) => done({ longitudeDeg: coords.longitude, latitudeDeg: coords.latitude }),
      () => done(null),
      { enableHighAccuracy: true, timeout: 10_000, maximumAge: 30_000 },
    );
  });
}
