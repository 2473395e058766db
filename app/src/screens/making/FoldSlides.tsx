import { formatDifference, formatKnown, plural, type Folded, type LengthUnit, type Refolding } from '@keep-snug/core';
import { View } from 'react-native';
import { useSettings } from '@/data/settings';
import { TapeSlide } from '@/ui/fields/TapeSlide';
import { Words } from '@/ui/layout/Words';

interface Props {
  folds: Refolding;
  place: Folded;
  onChange: (front: number) => void;
}

/** A number is written at every so many places. */
const EVERY = 4;

/** How well such lengths are known, mm. */
const SURE_MM = 2;

/** Pocket, fold and flap of a strip, each as a place on the tape: they hang together, so that each moves the other two. */
export function FoldSlides({ folds, place, onChange }: Props) {
  const units = useSettings((state) => state.units);
  return slidesOf(folds, place, units).map(({ label, of, told, back = false }) => {
    // one step of the tape is one place, whatever it counts: of a flap several rows may go at once, or none
    const places = back ? [...folds.places].reverse() : folds.places;
    const written = (at: number) => {
      const before = at - EVERY;
      return before >= 0 && of(places[before]!) === of(places[at]!) ? '' : String(of(places[at]!));
    };
    return (
      <View key={label}>
        <Words as="small">{`${label}: ${told}`}</Words>
        <TapeSlide
          label={label}
          value={places.indexOf(place)}
          said={told}
          range={{ min: 0, max: places.length - 1 }}
          every={EVERY}
          written={written}
          onChange={(at) => onChange(places[at]!.front)}
        />
      </View>
    );
  });
}

interface Slide {
  label: string;
  of: (place: Folded) => number;
  told: string;
  /** The deeper the pocket, the less there is of it. */
  back?: true;
}

function slidesOf({ counted }: Refolding, place: Folded, units: LengthUnit): Slide[] {
  const many = (count: number) => (counted === 'rows' ? plural(count, 'row') : plural(count, 'stitch', 'stitches'));
  const say = (mm: number) => formatKnown(mm, SURE_MM, units);
  const covers = place.above >= 0 ? 'covers the item' : `the item stands out ${say(-place.above)}`;
  const pocket: Slide = {
    label: 'Pocket',
    of: ({ front }) => front,
    told: `${many(place.front)}, ${say(place.depth)} deep inside; ${covers}`,
  };
  if (place.reach === null || place.flap === 0) return [pocket];
  const down = formatDifference(place.reach, SURE_MM, units).replace('+', '');
  return [
    pocket,
    { label: 'Flap’s fold', of: ({ over }) => over, told: `after ${many(place.over)}` },
    { label: 'Flap', of: ({ flap }) => flap, told: `${many(place.flap)}, ${down} down over the front`, back: true },
  ];
}
