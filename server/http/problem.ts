import type { ErrorRequestHandler } from 'express';
import type { Problem } from '../../core/desk/problem.ts';
import { problemText } from '../../core/desk/problem.ts';
import { diskTrouble } from '../files/trouble.ts';
import { Cancelled, TooMuchMemory, TooMuchWork, TookTooLong } from '../helpers/pool.ts';

/** An answer that something is wrong (RFC 9457): a status, and a sentence for a person. */
export class HttpProblem extends Error {
  constructor(
    readonly status: number,
    readonly title: string,
    detail: string,
    readonly extra: Record<string, unknown> = {},
  ) {
    super(detail);
  }
}

/** A refusal of something that a person gave us, with all that is wrong with it. */
export function refusal(title: string, problems: readonly Problem[], status = 422): HttpProblem {
  const [first] = problems;
  return new HttpProblem(status, title, first ? problemText(first) : title, { problems });
}

/** What the asker or the machine caused, in the words of whoever noticed; null for what is our own fault. */
function asProblem(error: unknown): HttpProblem | null {
  if (error instanceof HttpProblem) return error;
  if (error instanceof TookTooLong || error instanceof TooMuchMemory)
    return new HttpProblem(
      413,
      'Too much work',
      `This ${error instanceof TookTooLong ? 'takes longer' : 'needs more memory'} than the server gives to one thing; nothing was changed.`,
    );
  if (error instanceof TooMuchWork)
    return new HttpProblem(429, 'Too much at once', 'The server has its hands full; try again in a moment.');
  const trouble = diskTrouble(error);
  if (trouble) return new HttpProblem(trouble.kind === 'full' ? 507 : 503, 'The disk', trouble.sentence);
  if (error instanceof Cancelled) return new HttpProblem(499, 'Nobody waits', 'The work was called off.');
  // Errors of the parts that read requests and send files say whose fault they are by their status.
  const { status, type } = error as { status?: unknown; type?: unknown };
  if (typeof status !== 'number' || status < 400 || status > 499) return null;
  const [title, detail] = lookedUp.get(typeof type === 'string' ? type : '') ??
    byStatus.get(status) ?? ['Not understood', 'The server can’t make sense of this request.'];
  return new HttpProblem(status, title, detail);
}

/** By the type that body parsers give their errors. */
const lookedUp = new Map<string, [title: string, detail: string]>([
  ['entity.too.large', ['Too large', 'The file is larger than the server takes.']],
  ['request.aborted', ['Cut short', 'The upload was cut short; nothing was kept.']],
  ['charset.unsupported', ['Not UTF-8', 'The server reads UTF-8 only.']],
  ['encoding.unsupported', ['Packed', 'The server takes requests as they are, not packed.']],
]);

const byStatus = new Map<number, [title: string, detail: string]>([
  [400, ['Not understood', 'The address or the request is damaged.']],
  [404, ['Nothing here', 'There is nothing under this address.']],
  [412, ['Changed meanwhile', 'What lies here is not what the request is based on.']],
  [416, ['Beyond the end', 'There is nothing in that part of the file.']],
]);

export function problemHandler(report: (error: unknown) => void): ErrorRequestHandler {
  return (error: unknown, _request, response, next) => {
    if (response.headersSent) {
      next(error);
      return;
    }
    let problem = asProblem(error);
    // The disk's troubles have a sentence of their own, and are for whoever looks after the server, too.
    if (!problem || problem.status >= 500) report(error);
    if (!problem) {
      problem = new HttpProblem(
        500,
        'The server failed',
        'Something went wrong on the server; nothing was changed.',
      );
    }
    response.status(problem.status).removeHeader('Cache-Control');
    response.type('application/problem+json').send(
      JSON.stringify({
        type: 'about:blank',
        title: problem.title,
        status: problem.status,
        detail: problem.message,
        ...problem.extra,
      }),
    );
  };
}
