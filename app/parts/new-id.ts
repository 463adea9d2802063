/** Keys of new facts. */
import { nanoid } from 'nanoid';

export const newId = () => nanoid(12);
