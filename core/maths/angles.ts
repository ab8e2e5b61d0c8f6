export const radians = (deg: number): number => (deg * Math.PI) / 180;
export const degrees = (rad: number): number => (rad * 180) / Math.PI;

/** Whether a direction lies within an angle of the x axis, to either side of it. @param slope tangent of the angle, which is below 90° */
export const isWithin = (slope: number, dx: number, dy: number): boolean => dx > 0 && Math.abs(dy) <= slope * dx;
