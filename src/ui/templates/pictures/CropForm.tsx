'use client';

import { useEffect, useRef, useState } from 'react';
import Button from 'react-bootstrap/Button';
import Form from 'react-bootstrap/Form';
import type { Crop, PictureAnswer } from '../../../core/contract/pictures';
import type { Refusal } from '../../../core/contract/refusal';
import { askServer } from '../../writing/askServer';

interface Props {
  /** where the picture is served */
  address: string;
  onDone: (cropped: Extract<PictureAnswer, { result: 'done' }>) => void;
  onClose: () => void;
}

const SIDES = ['left', 'right', 'top', 'bottom'] as const;
const ACROSS = { left: 'right', right: 'left', top: 'bottom', bottom: 'top' } as const;
/** So much is always left, between two sides. */
const LEFT_OVER = 0.05;

/** Cuts the sides of a picture, each by itself: no shape is forced on it. What goes is shown in a lighter tone. */
export function CropForm({ address, onDone, onClose }: Props) {
  const [crop, setCrop] = useState<Crop>({ left: 0, right: 0, top: 0, bottom: 0 });
  const [trouble, setTrouble] = useState<string>();
  const [busy, setBusy] = useState(false);
  const isWhole = SIDES.every((side) => crop[side] === 0);

  async function cut() {
    setBusy(true);
    const answer = await askServer<PictureAnswer | Refusal>(address, crop);
    setBusy(false);
    if ('offline' in answer) return setTrouble('There is no connection. The picture stays as it is.');
    const { body } = answer;
    if (body.result !== 'done') return setTrouble(body.error);
    // Until it is closed nothing of the page can be written on.
    sheet.current?.close();
    onDone(body);
  }

  const percent = (share: number) => `${Math.round(share * 100)}%`;
  const inset = `inset(${percent(crop.top)} ${percent(crop.right)} ${percent(crop.bottom)} ${percent(crop.left)})`;
  // Shown over the page, which is not to be reached meanwhile.
  const sheet = useRef<HTMLDialogElement>(null);
  useEffect(() => sheet.current?.showModal(), []);
  return (
    <dialog ref={sheet} className="paper crop" aria-labelledby="crop-title" onClose={onClose}>
      <h2 id="crop-title" className="note-title">
        Crop the picture
      </h2>
      <div className="crop-picture">
        <img src={address} alt="" className="crop-away" />
        <img src={address} alt="What is left of the picture" style={{ clipPath: inset }} />
      </div>
      {SIDES.map((side) => (
        <Form.Group key={side} controlId={`crop-${side}`} className="crop-side">
          <Form.Label>
            Cut off {side === 'left' || side === 'right' ? `on the ${side}` : `at the ${side}`}:{' '}
            {percent(crop[side])}
          </Form.Label>
          <Form.Range
            min={0}
            max={90}
            value={Math.round(crop[side] * 100)}
            onChange={(event) => {
              const wanted = Number(event.target.value) / 100;
              setCrop({ ...crop, [side]: Math.min(wanted, 1 - LEFT_OVER - crop[ACROSS[side]]) });
            }}
          />
        </Form.Group>
      ))}
      {trouble && (
        <p className="trouble" role="alert">
          {trouble}
        </p>
      )}
      <div className="foot-line">
        <Button onClick={() => void cut()} disabled={busy || isWhole}>
          {busy ? 'Cropping …' : 'Crop it'}
        </Button>
        <button type="button" className="btn btn-link" onClick={onClose}>
          Leave it whole
        </button>
      </div>
    </dialog>
  );
}
