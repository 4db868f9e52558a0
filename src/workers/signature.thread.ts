import { parentPort } from 'node:worker_threads';
import { answerSignature, type SignatureRequest } from './signature-api';

parentPort?.on('message', (request: SignatureRequest) => parentPort?.postMessage(answerSignature(request)));
