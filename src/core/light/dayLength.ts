/**
 * Hours from sunrise to sunset. CBM model: Forsythe et al. 1995, Ecol. Model. 80:87, with p = 0.8333 (upper rim of the
 * sun on the horizon, refraction counted).
 * @param latitude degrees, north positive
 * @param day of the year, 1 to 366
 */
export function dayLength(latitude: number, day: number): number {
  const phi = declination(day);
  const north = (latitude * Math.PI) / 180;
  const p = (0.8333 * Math.PI) / 180;
  const x = (Math.sin(p) + Math.sin(north) * Math.sin(phi)) / (Math.cos(north) * Math.cos(phi));
  return 24 - (24 / Math.PI) * Math.acos(Math.min(1, Math.max(-1, x)));
}

/** Height of the sun over the equator, radians; the same model. */
export function declination(day: number): number {
  const revolution = 0.2163108 + 2 * Math.atan(0.9671396 * Math.tan(0.0086 * (day - 186)));
  return Math.asin(0.39795 * Math.cos(revolution));
}

/** Height over the horizon and bearing from north by east, radians, at an hour of solar time. */
export function sunAt(latitude: number, day: number, hour: number) {
  const north = (latitude * Math.PI) / 180;
  const d = declination(day);
  const angle = ((hour - 12) * Math.PI) / 12;
  const up = Math.asin(Math.sin(north) * Math.sin(d) + Math.cos(north) * Math.cos(d) * Math.cos(angle));
  const south = Math.atan2(
    Math.sin(angle),
    Math.cos(angle) * Math.sin(north) - Math.tan(d) * Math.cos(north),
  );
  return { up, bearing: Math.PI + south };
}
