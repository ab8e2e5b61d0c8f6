import { useState } from 'react';
import type { EventBody } from '@/core/logbook';
import { Button, Sheet, TextField } from '@/ui';
import { THUNDER } from './CautionsNow';

interface Props {
  open: boolean;
  onClose: () => void;
  onNote: (body: EventBody, said: string) => void;
  onRead: () => void;
  onLeave: (endDay: boolean) => void;
}

/** What is needed seldom. Everything in it closes it. */
export function MoreSheet({ open, onClose, onNote, onRead, onLeave }: Props) {
  const note = (body: EventBody, said: string) => {
    onNote(body, said);
    onClose();
  };
  const leave = (endDay: boolean) => {
    onLeave(endDay);
    onClose();
  };
  return (
    <Sheet title="More" open={open} onClose={onClose}>
      <Button label="A fish rose" onPress={() => note({ kind: 'rise' }, 'Rise noted.')} />
      <Button label="Hung up, got it back" onPress={() => note({ kind: 'hang-up' }, 'Hang-up noted.')} />
      <Button label="Lost the fly" onPress={() => note({ kind: 'fly lost' }, 'Lost fly noted.')} />
      <Button label="Take a new reading" hint="Clearer, dirtier, higher, warmer" onPress={onRead} />
      <Button
        label="Thunder"
        hint="Thunder heard or lightning seen: what to do, and for how long"
        onPress={() => note({ kind: 'note', text: THUNDER }, 'Off the water.')}
      />
      <NoteEntry onNote={(text) => note({ kind: 'note', text }, 'Noted.')} />
      <Button label="Leave this run" kind="primary" onPress={() => leave(false)} />
      <Button label="End the day" onPress={() => leave(true)} />
    </Sheet>
  );
}

function NoteEntry({ onNote }: { onNote: (text: string) => void }) {
  const [text, setText] = useState('');
  return (
    <>
      <TextField label="A note" value={text} onChange={setText} multiline />
      <Button label="Save note" disabled={text.trim() === ''} onPress={() => onNote(text.trim())} />
    </>
  );
}
