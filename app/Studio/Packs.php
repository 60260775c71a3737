<?php

declare(strict_types=1);

namespace App\Studio;

use App\Formats\SchemaCheck;
use App\Queries\Standard\LadderShown;
use App\Repositories\FlatPaintCatalogue;
use App\Repositories\Standards;
use Illuminate\Database\Eloquent\ModelNotFoundException;
use Ordotype\Core\Format\Json;
use Ordotype\Core\Format\StandardFormat;
use Ordotype\Core\Foundation\FormatException;
use Ordotype\Core\Ladder\Finding;
use Ordotype\Core\Ladder\Lint;
use Ordotype\Core\Ladder\StandardChange;
use Ordotype\Core\Ladder\StandardDifference;
use Ordotype\Core\Standard\Standard;
use Ordotype\Core\Standard\Tier;
use Ordotype\Core\Words\ChangeWords;
use stdClass;

/** The packs that ship: whole standards to begin with, and what taking one in would change. */
final class Packs
{
    private const KEYS = ['five-rungs', 'two-stages', 'three-grades', self::EMPTY];

    /** The whole catalogue and one rung that says nothing yet. */
    private const EMPTY = 'empty-ladder';

    public function __construct(
        private readonly Standards $standards,
        private readonly LadderShown $ladderShown,
        private readonly FlatPaintCatalogue $flat,
    ) {
    }

    /** @return list<array<string, mixed>> */
    public function shipped(): array
    {
        return array_map(function (string $key): array {
            $standard = $this->standard($this->text($key));

            return [
                'key' => $key,
                'name' => ucfirst(str_replace('-', ' ', $key)),
                'tiers' => array_map(fn (Tier $t) => $t->name, $standard->tiers),
                'techniques' => count($standard->techniques),
                'clauses' => array_sum(array_map(fn (Tier $t) => count($t->clauses), $standard->tiers)),
            ];
        }, self::KEYS);
    }

    /** @throws ModelNotFoundException<\App\Models\StandardVersion> for a pack that does not ship */
    public function text(string $key): string
    {
        return in_array($key, self::KEYS, true)
            ? ($key === self::EMPTY ? self::emptyLadder() : self::file($key))
            : throw new ModelNotFoundException();
    }

    private static function file(string $key): string
    {
        return (string) file_get_contents(database_path("demo/standards/$key.json"));
    }

    private static function emptyLadder(): string
    {
        $document = Json::decode(self::file('five-rungs'));
        assert($document instanceof stdClass);
        $document->name = 'Our standard';
        $document->prices = [];
        $document->tiers = [
            (object) [
                'key' => 'first',
                'name' => 'First rung',
                'order' => 1,
                'status' => 'offered',
                'intent' => 'What every model of ours gets.',
                'pace' => 'even',
                'aim' => 'quickest',
                'default_status' => 'allowed',
                'viewing' => (object) ['distance_cm' => 60, 'angle_arcmin' => 2],
                'clauses' => [],
            ],
        ];

        return Json::encode($document);
    }

    /**
     * @return array<string, mixed> what is in the file, and for a standard what it changes
     *
     * @throws FormatException
     */
    public function preview(string $text): array
    {
        if (str_starts_with($text, 'name,kind,hex,hiding,ml')) {
            return [
                'format' => 'shelf',
                'name' => (string) substr_count(trim($text), "\n").' paints',
                'changes' => [],
                'lint' => [],
            ];
        }
        $document = Json::decode($text);
        if (! ($document instanceof stdClass) || ($document->format ?? null) !== StandardFormat::WORD) {
            return [
                'format' => $document instanceof stdClass && is_string($document->format ?? null)
                        ? $document->format
                        : 'unknown',
                'name' => $document instanceof stdClass && is_string($document->name ?? null) ? $document->name : '',
                'changes' => [],
                'lint' => [],
            ];
        }
        SchemaCheck::against('standard@1', $document);
        $standard = StandardFormat::read($document);
        $open = $this->standards->draft() ?? $this->standards->published();
        $before =
            $open === null
                ? new Standard($standard->name, [], [], [], $standard->currency)
                : $this->standards->core($open);
        $words = new ChangeWords($before, $standard);

        return [
            'format' => StandardFormat::WORD,
            'name' => $standard->name,
            'changes' => array_map(
                fn (StandardChange $c) => $this->ladderShown->change($c, $words),
                (new StandardDifference($before, $standard))->changes,
            ),
            'lint' => array_map(
                fn (Finding $f) => $this->ladderShown->finding($f, $standard),
                (new Lint($standard, flat: $this->flat->table()))->ofTheLadder(),
            ),
        ];
    }

    private function standard(string $text): Standard
    {
        return StandardFormat::read(Json::decode($text));
    }
}
