import { fittingDefinition, type Plan, type Worked } from '@keep-snug/core';
import { FieldRow } from '@/ui/layout/FieldRow';
import { TextField } from '@/ui/fields/TextField';
import { Words } from '@/ui/layout/Words';
import type { StageProps } from './definition';

type Edit = StageProps['edit'];

/** Colours by part: pieces, bands, fittings. Left empty it is of the main colour. */
export function PartColours({ plan, worked, edit }: { plan: Plan; worked: Worked | null; edit: Edit }) {
  const { fabric, fittings = [] } = plan;
  const colourable = new Set((worked?.fittings ?? []).filter((one) => one.canBeColoured).map(({ kind }) => kind));
  const topped = new Set((worked?.fittings ?? []).filter((one) => one.hasTop).map(({ kind }) => kind));
  const own = new Set(fittings.map(({ kind }) => kind));
  const pieces = (worked?.pieces ?? []).filter(({ id }) => ![...own].some((kind) => id.startsWith(kind)));
  return (
    <>
      <Words as="smallStrong">By part; left empty, the main colour</Words>
      <FieldRow>
        {(fabric.bands ?? []).map((band, index) => (
          <TextField
            key={`band ${index}`}
            label={`Colour of band ${index + 1}`}
            value={band.colour ?? ''}
            onChange={(colour) => edit((old) => withBand(old, index, colour))}
          />
        ))}
        {(fabric.bands ?? []).some(({ colour }) => colour)
          ? null
          : pieces.map(({ id, name }) => (
              <TextField
                key={id}
                label={`Colour of ${name.toLowerCase()}`}
                value={fabric.pieceColours?.[id] ?? ''}
                onChange={(colour) => edit((old) => withPiece(old, id, colour))}
              />
            ))}
        {fittings.map(({ kind, colour }, index) =>
          colourable.has(kind) ? (
            <TextField
              key={kind}
              label={`Colour of ${nameOf(kind)}`}
              value={typeof colour === 'string' ? colour : ''}
              onChange={(next) => edit((old) => withFittingColour(old, index, 'colour', next))}
            />
          ) : null,
        )}
        {fittings.map(({ kind, topColour }, index) =>
          topped.has(kind) ? (
            <TextField
              key={`top ${kind}`}
              label={`Colour of the top, with ${nameOf(kind)}`}
              value={typeof topColour === 'string' ? topColour : ''}
              onChange={(next) => edit((old) => withFittingColour(old, index, 'topColour', next))}
            />
          ) : null,
        )}
      </FieldRow>
    </>
  );
}

const nameOf = (kind: string): string => (fittingDefinition(kind)?.name ?? kind).toLowerCase();

const MOST = 60;
const said = (text: string): string | undefined => (text.trim() === '' ? undefined : text.slice(0, MOST));

function withBand(plan: Plan, index: number, text: string): Plan {
  const bands = plan.fabric.bands!.map((band, at) => {
    const { colour: _before, ...rest } = band;
    const colour = said(text);
    return at !== index ? band : colour ? { ...rest, colour } : rest;
  });
  return { ...plan, fabric: { ...plan.fabric, bands } };
}

function withPiece({ fabric, ...plan }: Plan, id: string, text: string): Plan {
  const { [id]: _before, ...others } = fabric.pieceColours ?? {};
  const colour = said(text);
  return { ...plan, fabric: { ...fabric, pieceColours: colour ? { ...others, [id]: colour } : others } };
}

function withFittingColour(plan: Plan, index: number, key: 'colour' | 'topColour', text: string): Plan {
  const fittings = plan.fittings!.map((fitting, at) => {
    if (at !== index) return fitting;
    const { [key]: _before, ...rest } = fitting;
    const colour = said(text);
    return (colour ? { ...rest, [key]: colour } : rest) as typeof fitting;
  });
  return { ...plan, fittings };
}
