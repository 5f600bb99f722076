import type { ErrorRequestHandler } from 'express';
import type { Problem } from '../../core/desk/read.ts';
import { problemText } from '../../core/desk/read.ts';

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

/** Errors that body parsers throw carry a `type`; these are the ones that a person can cause. */
const parserProblems: Record<string, { status: number; title: string; detail: string }> = {
  'entity.too.large': {
    status: 413,
    title: 'Too large',
    detail: 'The file is larger than the server takes.',
  },
  'entity.parse.failed': { status: 400, title: 'Not JSON', detail: 'The request is not JSON.' },
  'request.aborted': {
    status: 400,
    title: 'Cut short',
    detail: 'The upload was cut short; nothing was kept.',
  },
};

export function problemHandler(report: (error: unknown) => void): ErrorRequestHandler {
  return (error: unknown, _request, response, next) => {
    if (response.headersSent) {
      next(error);
      return;
    }
    const parser = parserProblems[(error as { type?: string }).type ?? ''];
    let problem: HttpProblem;
    if (error instanceof HttpProblem) problem = error;
    else if (parser) problem = new HttpProblem(parser.status, parser.title, parser.detail);
    else {
      report(error);
      problem = new HttpProblem(
        500,
        'The server failed',
        'Something went wrong on the server; nothing was changed.',
      );
    }
    response
      .status(problem.status)
      .type('application/problem+json')
      .send(
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
