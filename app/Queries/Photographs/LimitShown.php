<?php

declare(strict_types=1);

namespace App\Queries\Photographs;

use App\Pictures\Drawings;
use App\Pictures\FinishExamples;
use App\Repositories\FlatPaintCatalogue;
use LogicException;
use Ordotype\Core\Standard\Criterion;
use Ordotype\Core\Standard\FinishClause;
use Ordotype\Core\Words\PhotoWords;

/** What a limit of a finish clause looks like: one cloak painted in several ways, and which of them would pass. */
final class LimitShown
{
    public function __construct(
        private readonly Drawings $drawings,
        private readonly FinishExamples $examples,
        private readonly FlatPaintCatalogue $flat,
    ) {
    }

    /** @return array{light_alone: string|null, data: list<array<string, mixed>>} */
    public function of(Criterion $criterion, float $limit): array
    {
        $light = $this->flat->table()->shownUnder(new FinishClause('limit', $criterion, $limit));
        $data = [];
        foreach ($this->values($criterion) as $example => $value) {
            $data[] = [
                'name' => PhotoWords::example($example),
                'figure' => PhotoWords::figure($criterion, $value),
                'passes' => $criterion->isFloor() ? $value >= $limit : $value <= $limit,
                'drawn' => $this->drawings->address($this->examples->request($example)),
            ];
        }

        return [
            'light_alone' => $light === null ? null : PhotoWords::figure($criterion, $light),
            'data' => $data,
        ];
    }

    /** @return array<string, float> by example, as they were measured when the table was made */
    private function values(Criterion $criterion): array
    {
        $written = json_decode((string) file_get_contents(database_path(FinishExamples::FILE)), true);
        if (! is_array($written) || ($written['format'] ?? null) !== FinishExamples::WORD) {
            throw new LogicException('The table of examples of finish is damaged.');
        }
        $values = [];
        foreach ($written['values'][$criterion->value] ?? [] as $example => $value) {
            $values[(string) $example] = (float) $value;
        }

        return $values;
    }
}
