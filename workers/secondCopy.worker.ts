import { expose } from 'comlink';
import { copyHere } from '@/store/copyHere';

const api = copyHere();
export type SecondCopyWorker = typeof api;

expose(api);
