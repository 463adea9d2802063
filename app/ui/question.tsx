/** A question above the choices it is answered with, and what one should know before. */
import { Choices, type ChoicesGiven } from './choices';
import { Small, Strong } from './type';

interface Given extends ChoicesGiven {
  readonly note?: string;
}

export const Question = ({ note, ...choices }: Given) => (
  <>
    <Strong>{choices.label}</Strong>
    <Choices {...choices} />
    {note ? <Small>{note}</Small> : null}
  </>
);
