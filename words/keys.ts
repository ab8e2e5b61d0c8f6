/** Single keys, and what they do. */
export const KEYS: readonly {
  readonly title: string;
  readonly keys: readonly (readonly [key: string, does: string])[];
}[] = [
  {
    title: 'Everywhere',
    keys: [
      ['1 to 5', 'Plan, Read, Rig, Fish, Learn'],
      ['?', 'this list'],
      ['Esc', 'close the sheet on top'],
    ],
  },
  {
    title: 'While you fish',
    keys: [
      ['C', 'log the cast'],
      ['S', 'same cast again'],
      ['T', 'log a take'],
      ['F', 'change fly'],
      ['O', 'other options'],
      ['U', 'undo'],
    ],
  },
  {
    title: 'On what has the focus',
    keys: [
      ['Arrows', 'the next choice of a group; a slider’s next step'],
      ['Page up, Page down', 'larger steps of a slider'],
      ['Home, End', 'its least and most'],
    ],
  },
];
