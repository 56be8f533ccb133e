import busboy from 'busboy';
import { Readable } from 'node:stream';
import { lengthFault } from '../core/noise/index.ts';
import type { Asked } from './asked.ts';
import { invalid, Problem } from './problem.ts';

export interface SentRecording {
  recording: ArrayBuffer;
  settings: string;
}

/** Longest text of the settings, bytes. */
const settingsBytes = 4000;

/**
 * Reads a form with a recording as it comes in. Its head is looked at first: one that is no recording, or too long, is
 * refused before the rest arrives.
 */
export function sentRecording(request: Asked, limit: number): Promise<SentRecording> {
  return new Promise((done, fail) => {
    const source = streamOf(request);
    // The answer is given at once; what still comes is let run by, or the sender would not hear it.
    const refuse = (p: Problem) => {
      fail(p);
      chunks.length = 0;
      source.unpipe();
      source.resume();
    };
    const form = formReader(request, limit);
    const chunks: Buffer[] = [];
    let settings: string | undefined;
    form.on('file', (name, file) => {
      if (name !== 'recording') {
        file.resume();
        return;
      }
      let looked = false;
      file.on('data', (chunk: Buffer) => {
        chunks.push(chunk);
        if (looked) return;
        looked = true;
        const why = lengthFault(chunk);
        if (why) refuse(invalid([{ field: 'recording', reason: why }]));
      });
      file.on('limit', () =>
        refuse(new Problem(413, 'Too large', 'A recording of ten minutes is the most.')),
      );
    });
    form.on('field', (name, value) => {
      if (name === 'settings') settings = value;
    });
    form.on('error', () => refuse(notForm()));
    form.on('close', () => {
      if (chunks.length === 0)
        return fail(invalid([{ field: 'recording', reason: 'A WAV file is needed.' }]));
      if (settings === undefined) return fail(invalid([{ field: 'settings', reason: 'Missing.' }]));
      done({ recording: bufferOf(chunks), settings });
    });
    source.on('error', () => fail(notForm()));
    source.pipe(form);
  });
}

/** The pieces as one; they are let go of, and a large one is not copied again. */
function bufferOf(chunks: Buffer[]): ArrayBuffer {
  const whole = Buffer.concat(chunks);
  chunks.length = 0;
  const { buffer, byteOffset, byteLength } = whole;
  return byteLength === buffer.byteLength
    ? (buffer as ArrayBuffer)
    : (buffer.slice(byteOffset, byteOffset + byteLength) as ArrayBuffer);
}

const streamOf = ({ body }: Asked): Readable =>
  body instanceof Readable
    ? body
    : Readable.fromWeb(body as Parameters<typeof Readable.fromWeb>[0]);

function formReader(request: Asked, limit: number) {
  try {
    return busboy({
      headers: { 'content-type': request.headers.get('content-type') ?? '' },
      limits: { files: 1, fields: 4, fieldSize: settingsBytes, fileSize: limit },
    });
  } catch {
    throw notForm();
  }
}

const notForm = () =>
  new Problem(400, 'Not a form', 'The body is not multipart form data.', [
    { field: 'body', reason: 'Not multipart.' },
  ]);
