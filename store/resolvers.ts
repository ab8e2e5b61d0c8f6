import { joiResolver } from '@hookform/resolvers/joi';
import type { Water } from './records';
import { waterSchema } from './schemas';

/** Form checks by the same schemas as everything stored. */
export const waterResolver = joiResolver<Water>(waterSchema, { abortEarly: false });
