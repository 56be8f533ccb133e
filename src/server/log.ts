import { pino, stdSerializers } from 'pino';

/** Values of a failed statement stand behind this in its message: names, PINs' hashes, what was typed. */
const values = /\nparams: [\s\S]*?(?=\n {4}at |$)/gu;

/** One line of JSON an event, without names, PINs or bodies. */
export const log = pino({
  level: process.env['LOG_LEVEL'] ?? 'info',
  serializers: {
    err: (e: Error) => {
      const { type, message, stack } = stdSerializers.err(e);
      return { type, message: message.replace(values, ''), stack: stack.replace(values, '') };
    },
  },
});
