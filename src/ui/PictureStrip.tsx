'use client';

import AddAPhotoOutlinedIcon from '@mui/icons-material/AddAPhotoOutlined';
import CloseIcon from '@mui/icons-material/Close';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import IconButton from '@mui/material/IconButton';
import Typography from '@mui/material/Typography';
import { useCallback, useRef, useState } from 'react';
import { useUndoable } from './useUndoable';

export interface Picture {
  readonly id: string;
  readonly at: number;
  readonly width: number;
  readonly height: number;
  readonly blob: Blob;
}

interface Props {
  /** What they are of, for those who hear it. */
  readonly label: string;
  readonly pictures: readonly Picture[];
  /** Throws with what to do when the file will not do; left out: none are added here. */
  readonly onAdd?: (file: Blob) => Promise<void>;
  /** Gives how it is put back; nothing where it was gone already. */
  readonly onRemove: (id: string) => Promise<(() => unknown) | undefined>;
}

/** Pictures side by side, one opened large; a camera or a file adds another. */
export function PictureStrip({ label, pictures, onAdd, onRemove }: Props) {
  const undoable = useUndoable();
  const input = useRef<HTMLInputElement>(null);
  const [wrong, setWrong] = useState<string | null>(null);
  const [shown, setShown] = useState<Picture | null>(null);
  return (
    <Box>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, alignItems: 'center' }}>
        {pictures.map((it, index) => (
          <Box
            key={it.id}
            component="button"
            type="button"
            onClick={() => setShown(it)}
            aria-label={`Picture ${index + 1} of ${label}, ${dateWords(it.at)}`}
            sx={{
              p: 0,
              border: 1,
              borderColor: 'earth.rule',
              borderRadius: '8px',
              overflow: 'hidden',
              width: 72,
              height: 72,
              cursor: 'pointer',
              bgcolor: 'earth.paper',
              '&:focus-visible': { outline: '2px solid', outlineColor: 'earth.clay', outlineOffset: 2 },
            }}
          >
            <BlobImage blob={it.blob} alt="" fit="cover" />
          </Box>
        ))}
        {onAdd && (
          <>
            <Button
              variant="outlined"
              size="small"
              startIcon={<AddAPhotoOutlinedIcon />}
              onClick={() => input.current?.click()}
            >
              Add a picture
            </Button>
            <input
              ref={input}
              type="file"
              accept="image/*"
              hidden
              aria-label={`Picture of ${label} to take in`}
              onChange={(event) => {
                const [file] = event.target.files ?? [];
                event.target.value = '';
                if (!file) return;
                setWrong(null);
                onAdd(file).catch((error: unknown) =>
                  setWrong(error instanceof Error ? error.message : 'It could not be kept.'),
                );
              }}
            />
          </>
        )}
      </Box>
      {wrong && (
        <Typography role="alert" variant="body2" sx={{ color: 'earth.clay', mt: 0.75 }}>
          {wrong}
        </Typography>
      )}
      {shown && (
        <Dialog open onClose={() => setShown(null)} maxWidth="lg" aria-labelledby="picture-title">
          <Box sx={{ display: 'flex', alignItems: 'center', gap: 1, px: 2, py: 1 }}>
            <Typography id="picture-title" variant="h3" component="h2" sx={{ flex: 1 }}>
              {dateWords(shown.at)}
            </Typography>
            <Button
              onClick={() => {
                void onRemove(shown.id).then((back) => back && undoable('Picture taken away.', back));
                setShown(null);
              }}
            >
              Take it away
            </Button>
            <IconButton aria-label="Close" onClick={() => setShown(null)}>
              <CloseIcon />
            </IconButton>
          </Box>
          <BlobImage blob={shown.blob} alt={label} fit="contain" />
        </Dialog>
      )}
    </Box>
  );
}

const dateWords = (at: number): string =>
  new Date(at).toLocaleDateString(undefined, { day: 'numeric', month: 'short', year: 'numeric' });

interface BlobImageProps {
  readonly blob: Blob;
  readonly alt: string;
  readonly fit: 'cover' | 'contain';
}

/** A picture from storage; its address is given back when it is no longer shown. */
export function BlobImage({ blob, alt, fit }: BlobImageProps) {
  const show = useCallback(
    (image: HTMLImageElement | null) => {
      if (!image) return undefined;
      const url = URL.createObjectURL(blob);
      image.src = url;
      return () => URL.revokeObjectURL(url);
    },
    [blob],
  );
  return (
    <Box
      component="img"
      ref={show}
      alt={alt}
      sx={{ display: 'block', width: '100%', height: '100%', maxHeight: '80vh', objectFit: fit }}
    />
  );
}
