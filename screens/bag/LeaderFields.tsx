import {
  type LeaderItem,
  leaderLengthM,
  type LeaderPiece,
  MATERIALS,
  PIECE_PARTS,
  strengthN,
  tippetDiameterM,
  xSizeOf,
} from '@/core/tackle';
import { useSettings } from '@/store/hooks';
import { Block, Button, Choice, plainOptions, Stack, Text } from '@/ui';
import { YesNo } from '../shared/YesNo';
import { type Fields, Measure, Millimetres, Strength } from './fields';
import { format } from '@/words/units';

const X_SIZES = ['0', '1', '2', '3', '4', '5', '6', '7', '8'] as const;
const NEW_PIECE: LeaderPiece = { part: 'tippet', lengthM: 0.6, diameterM: tippetDiameterM(4), material: 'nylon' };

/** A leader piece by piece, from the line outwards. */
export function LeaderFields({ item, set }: Fields<LeaderItem>) {
  const [{ units }] = useSettings();
  const { pieces } = item;
  const change = (next: readonly LeaderPiece[]) => set({ pieces: next });
  return (
    <>
      <Text tone="ink2">{`From the line outwards; ${format('depth', leaderLengthM(item), units)} in all.`}</Text>
      {pieces.map((piece, i) => (
        <Block key={i} title={`Piece ${i + 1}: ${piece.part}`}>
          <PieceFields piece={piece} onChange={(p) => change(pieces.map((q, j) => (j === i ? p : q)))} />
          <Stack row gap="s" wrap>
            <Button
              label="Add piece after it"
              kind="quiet"
              onPress={() => change([...pieces.slice(0, i + 1), NEW_PIECE, ...pieces.slice(i + 1)])}
            />
            {pieces.length > 1 ? (
              <Button
                label={`Remove piece ${i + 1}`}
                kind="quiet"
                onPress={() => change(pieces.filter((_, j) => j !== i))}
              />
            ) : null}
          </Stack>
        </Block>
      ))}
      <YesNo label="Nicked, or stood on" value={!!item.nicked} onChange={(v) => set({ nicked: v || undefined })} />
    </>
  );
}

interface PieceProps {
  piece: LeaderPiece;
  onChange: (piece: LeaderPiece) => void;
}

function PieceFields({ piece, onChange }: PieceProps) {
  const put = (part: Partial<LeaderPiece>) => onChange({ ...piece, ...part });
  const x = xSizeOf(piece.diameterM);
  const size = X_SIZES.find((s) => Math.abs(Number(s) - x) < 0.05) ?? null;
  const { strengthN: _printed, ...plain } = piece;
  const { toDiameterM, strengthN: printed, ...level } = piece;
  return (
    <>
      <Choice label="Part" options={plainOptions(PIECE_PARTS)} value={piece.part} onChange={(part) => put({ part })} />
      <Measure q="depth" label="Length" value={piece.lengthM} onChange={(lengthM) => put({ lengthM })} digits={2} />
      <Choice
        label="Thickness (X)"
        options={X_SIZES.map((value) => ({ value, label: `${value}X` }))}
        value={size}
        onChange={(s) => put({ diameterM: tippetDiameterM(Number(s)) })}
      />
      <Millimetres label="Diameter" value={piece.diameterM} onChange={(diameterM) => put({ diameterM })} />
      <YesNo
        label="Tapered"
        value={toDiameterM !== undefined}
        onChange={(v) =>
          onChange(
            v
              ? { ...piece, toDiameterM: Math.max(5e-5, 0.6 * piece.diameterM) }
              : { ...level, ...(printed === undefined ? null : { strengthN: printed }) },
          )
        }
      />
      {toDiameterM === undefined ? null : (
        <Millimetres label="At the thin end" value={toDiameterM} onChange={(d) => put({ toDiameterM: d })} />
      )}
      <Choice
        label="Material"
        options={plainOptions(MATERIALS)}
        value={piece.material}
        onChange={(material) => put({ material })}
      />
      <Strength
        value={printed}
        onChange={(n) =>
          onChange(
            n === undefined
              ? { ...level, ...(toDiameterM === undefined ? null : { toDiameterM }) }
              : { ...piece, strengthN: n },
          )
        }
        byDiameterN={strengthN(plain)}
      />
    </>
  );
}
