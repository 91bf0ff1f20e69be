import { isRowId, problem, ProblemError } from '@nuvar/book';
import { Param, type PipeTransform } from '@nestjs/common';

/** An id of an address in the one form that ids have; what is none names nothing that could be there. */
const idPipe: PipeTransform<string, string> = {
  transform(text) {
    const id = text.toLowerCase();
    if (!isRowId(id)) throw new ProblemError([problem('not-found')]);
    return id;
  },
};

/** The id of the book that a request is about. */
export const BookId = () => Param('id', idPipe);

/** The id of the person that a request is about. */
export const MemberId = () => Param('userId', idPipe);

/** The id of the baseline that a request is about. */
export const BaselineId = () => Param('baselineId', idPipe);
