import { useState } from 'react';
import { Button, later, Loading, Sheet } from '@/ui';
import { HELP_TITLES, type HelpPage } from '@/words/helpTitles';

const HelpText = later(
  () => import('./HelpText'),
  (m) => m.HelpText,
  () => <Loading what="Opening…" />,
);

/** A short page behind a tap: what the screen reckons with, and what the trade's words on it mean. */
export function HowThisWorks({ page }: { page: HelpPage }) {
  const [open, setOpen] = useState(false);
  const title = HELP_TITLES[page];
  return (
    <>
      <Button
        kind="quiet"
        label="How this works"
        accessibilityLabel={`How this works: ${title}`}
        onPress={() => setOpen(true)}
      />
      <Sheet title={title} open={open} onClose={() => setOpen(false)}>
        {open ? <HelpText page={page} /> : null}
      </Sheet>
    </>
  );
}
