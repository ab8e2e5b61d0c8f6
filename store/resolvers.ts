import { joiResolver } from '@hookform/resolvers/joi';
import type { Resolver } from 'react-hook-form';
import type { Water } from './records';
import { waterSchema } from './schemas';

/** Form checks by the same schemas as everything stored. */
export const waterResolver = joiResolver(waterSchema, { abortEarly: false }) as unknown as Resolver<Water>;
