'use client';

import Button from '@mui/material/Button';
import { Message } from '@/ui/Message';

export default function ErrorPage({ error, reset }: { readonly error: Error; readonly reset: () => void }) {
  return (
    <Message
      title="Something went wrong on this page"
      role="alert"
      actions={
        <>
          <Button variant="contained" onClick={reset}>
            Try again
          </Button>
          <Button variant="outlined" href="/recover">
            Save all that is kept
          </Button>
        </>
      }
    >
      {error.message}. What was saved is still saved.
    </Message>
  );
}
