<?php

declare(strict_types=1);

namespace Cathedra\Core\Pacing;

/** What of a plan cannot be at once, each with changes of the lesson that would end it. */
final class Contradictions
{
    /**
     * @param  bool  $makeSquares  the learners make their squares themselves
     * @param  string  $method  of making squares: scissors, trimmer or tear
     * @param  bool  $modelCuts  a model itself is cut
     * @return array<string, non-empty-array<string, array<string, mixed>>> by what is wrong: changes of the lesson
     *     (policies, method, square_in_lesson, prepared) by the word that names them
     */
    public static function of(Policies $chosen, bool $makeSquares, string $method, bool $modelCuts): array
    {
        $is = $chosen->chosen;

        return array_map(static fn (array $of): array => $of[1], array_filter([
            'model-cuts' => [$is['cutting'] !== 'model' && $modelCuts, [
                'cut-model' => ['policies' => ['cutting' => 'model']],
            ]],
            'square-cuts' => [$is['cutting'] === 'none' && $makeSquares && $method === 'scissors', [
                'tear' => ['method' => 'tear'],
                'squares-before' => ['square_in_lesson' => false],
                'cut-square' => ['policies' => ['cutting' => 'square']],
            ]],
            'prepared-squares' => [$chosen->prepared > 0 && $makeSquares && ! $chosen->takesFreshSquares(), [
                'squares-before' => ['square_in_lesson' => false],
                'nothing-before' => ['prepared' => 0],
                'fresh' => ['policies' => ['squaring' => 'fresh']],
            ]],
            'cards-together' => [$chosen->isSelfPaced() && $is['pace'] === 'everybody', [
                'own-pace' => ['policies' => ['pace' => 'ahead']],
                'shown' => ['policies' => ['show' => 'along']],
            ]],
        ], static fn (array $of): bool => $of[0]));
    }
}
