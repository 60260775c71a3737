<?php

declare(strict_types=1);

namespace App\Queries;

use App\Models\Photograph;
use App\Models\Piece;
use App\Repositories\Figures;
use InvalidArgumentException;
use Ordotype\Core\Booth\Booth;
use Ordotype\Core\Photo\Placement;
use stdClass;

/** The photographs of a model, and the points of its figure by which they are placed. */
final class PhotographsShown
{
    public function __construct(private readonly Figures $figures)
    {
    }

    /** @return array{marks: stdClass, data: list<array<string, mixed>>} */
    public function of(Piece $piece): array
    {
        $photographs = Photograph::query()
            ->with(['picture', 'maker'])
            ->where('piece_id', $piece->id)
            ->orderBy('id')
            ->get();

        return [
            'marks' => (object) $this->marks($piece),
            'data' => array_values($photographs->map(self::one(...))->all()),
        ];
    }

    /** @return array<string, array{base_left: list<float>, base_right: list<float>, top: list<float>}> by view */
    private function marks(Piece $piece): array
    {
        $sculpt = $this->figures->of($piece->unit->sculpt);
        $marks = [];
        foreach (Booth::VIEWS as $view) {
            try {
                [$left, $right, $top] = Placement::marks($sculpt, $view);
                $marks[$view->value] = ['base_left' => $left, 'base_right' => $right, 'top' => $top];
            } catch (InvalidArgumentException) {
                // Without outlines there is nothing to lay over a photograph.
                continue;
            }
        }

        return $marks;
    }

    /** @return array<string, mixed> */
    public static function one(Photograph $p): array
    {
        return [
            'id' => $p->id,
            'view' => $p->view,
            'sha256' => $p->sha256,
            'width' => $p->picture->width,
            'height' => $p->picture->height,
            'by' => $p->maker->name,
            'at' => $p->created_at?->toIso8601ZuluString(),
            'placement' => $p->placement,
            'state' => $p->state,
            'said' => $p->said,
            'areas' => $p->measures ?? [],
        ];
    }
}
