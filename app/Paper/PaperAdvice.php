<?php

declare(strict_types=1);

namespace App\Paper;

use App\Models\Stock as StockRecord;
use App\Shelf\ModelFacts;
use App\Support\LibraryFiles;
use Cathedra\Core\Paper\WillItFold;

/** Says whether a model can be folded from a stock and what else there is to know about that paper. */
final readonly class PaperAdvice
{
    public function __construct(private LibraryFiles $files, private Measure $measure)
    {
    }

    /** @param  float|null  $side  mm, shorter side of the sheet to be folded; null: the largest the stock gives */
    public function willFold(
        StockRecord $record,
        ModelFacts $model,
        string $ageBand,
        ?float $side = null,
    ): WillFoldData {
        $rules = $this->files->paperRules();
        $words = $this->files->words();
        $largest = min($record->width_mm, $record->height_mm) - 2 * $record->trim_mm;
        $caliper = WillItFold::caliper(
            $record->grammage ?? 80,
            $rules->density($record->kind),
        );
        $limits = $rules->limits($ageBand);
        $least = $rules->leastSheet($model->does);
        $judged = WillItFold::judge(
            layers: $model->most_layers,
            narrowestPerSide: $model->narrowest_per_side,
            caliper: $caliper,
            side: $side ?? $largest,
            largest: $largest,
            limits: $limits,
            least: $least,
            stiff: $rules->mustBearItself($model->does),
        );
        $does = implode(
            ', ',
            array_map(static fn (string $does): string => $words->say('paper', "does-$does"), $model->does),
        );
        $with = [
            'layers' => $model->most_layers,
            'caliper' => (string) round($caliper, 2),
            'stack' => Measure::mm($judged->stack),
            'narrowest' => Measure::mm($judged->narrowest ?? 0.0),
            'side' => $this->measure->say($judged->side),
            'does' => $does,
        ];
        $limit = [
            'narrow' => $this->measure->say($limits['dexterity_mm'], true),
            'large' => $this->measure->say($limits['table_mm']),
            'small' => $this->measure->say($least ?? 0.0),
            'soft' => $this->measure->say(WillItFold::softFrom($caliper, $limits['soft_mm'])),
        ];
        $reasons = array_map(
            static fn (string $key): string => $words->say(
                'paper',
                "fold-$key",
                ['limit' => $limit[$key] ?? ''] + $with,
            ),
            $judged->reasons,
        );
        if ($judged->verdict !== 'fits' && ! in_array($judged->reasons, [['large'], ['soft']], true)) {
            $reasons[] =
                $judged->better === null
                    ? $words->say('paper', 'fold-never')
                    : $words->say('paper', 'fold-better', ['side' => $this->measure->say($judged->better)]);
        }

        return new WillFoldData(
            verdict: $judged->verdict,
            side_mm: round($judged->side, 1),
            stack_mm: round($judged->stack, 2),
            narrowest_mm: $judged->narrowest === null ? null : round($judged->narrowest, 1),
            reasons: $reasons === [] ? [$words->say('paper', 'fold-fits', $with)] : $reasons,
            notes: $this->notes($record, $model),
        );
    }

    /** @return list<string> what is no fault, but good to know: colour, print, light, grain, tags */
    private function notes(StockRecord $record, ModelFacts $model): array
    {
        $rules = $this->files->paperRules();
        $words = $this->files->words();
        $grammage = $record->grammage ?? 80;
        $both = $model->contrast >= $rules->contrast;
        $percent = ['share' => (int) round(100 * $model->contrast)];
        $notes = [
            match (true) {
                $record->sides === 'alike' => $both ? $words->say('paper', 'note-alike', $percent) : null,
                $record->sides === 'coloured' => $words->say('paper', $both ? 'note-both' : 'note-one', $percent).
                    ' '.
                    $words->say('paper', $model->side_up === 'front' ? 'note-colour-up' : 'note-colour-down'),
                default => $words->say('paper', "note-{$record->sides}"),
            },
        ];
        $notes[] =
            $grammage < $rules->seeThrough
                ? $words->say('paper', 'note-see-through', ['grammage' => $grammage])
                : null;
        $notes[] =
            $grammage >= $rules->grain || in_array($record->kind, ['kraft', 'construction', 'newsprint'], true)
                ? $words->say('paper', 'note-grain')
                : null;

        return array_values(array_filter($notes));
    }
}
