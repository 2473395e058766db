import { formatSigned } from '@keep-snug/core';
import { TapeSlide } from '@/ui/fields/TapeSlide';

interface Props {
  percent: number;
  onChange: (percent: number) => void;
}

/** From half of the stretch to a bag: eases that make sense round a thing. */
const RANGE = { min: -10, max: 20 };

/** The ease as a place on the tape. */
export const EaseTape = ({ percent, onChange }: Props) => (
  <TapeSlide
    label="Ease (around), in percent"
    value={percent}
    said={`${formatSigned(percent)} %`}
    range={RANGE}
    step={0.5}
    every={5}
    written={(value) => `${formatSigned(value)}%`}
    onChange={onChange}
  />
);
