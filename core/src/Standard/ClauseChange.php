<?php

declare(strict_types=1);

namespace Ordotype\Core\Standard;

use Ordotype\Core\Sculpt\Role;
use Ordotype\Core\Sculpt\Size;
use Ordotype\Core\Sculpt\View;

/** New values for some fields of a clause, as an amendment sets them. Null: the field stays as it is. */
final readonly class ClauseChange
{
    /**
     * @param  string|null  $id  a new name for the clause
     * @param  bool  $openMax  takes the ceiling away; only colour steps can be open
     * @param  list<Effect>|null  $effects
     * @param  list<string>|null  $by
     * @param  list<Role>|null  $roles
     * @param  array<string, float>|null  $aql
     * @param  array<string, int>|null  $limits
     * @param  list<View>|null  $views
     * @param  list<Gate>|null  $gates
     * @param  list<Size>|null  $sizes
     */
    public function __construct(
        public ?string $id = null,
        public ?int $min = null,
        public ?float $max = null,
        public bool $openMax = false,
        public ?array $effects = null,
        public ?Extent $extent = null,
        public ?int $passes = null,
        public ?array $by = null,
        public ?string $technique = null,
        public ?Family $family = null,
        public ?TechniqueStatus $status = null,
        public ?string $price = null,
        public ?Criterion $criterion = null,
        public ?float $limit = null,
        public ?array $roles = null,
        public ?bool $sampled = null,
        public ?string $level = null,
        public ?array $aql = null,
        public ?array $limits = null,
        public ?array $views = null,
        public ?array $gates = null,
        public ?Consent $consent = null,
        public ?array $sizes = null,
        public ?string $label = null,
        public ?string $clientText = null,
        public ?Severity $severity = null,
        public ?Place $place = null,
        public ?float $minutes = null,
        public ?PhotographsWanted $photographs = null,
    ) {
    }

    /** @return list<ClauseField> what it sets */
    public function fields(): array
    {
        return array_values(array_filter(ClauseField::cases(), fn (ClauseField $f) => $this->value($f) !== null));
    }

    /** @throws UnfitChange when it takes the ceiling away */
    public function keepsCeiling(): void
    {
        if ($this->openMax) {
            throw UnfitChange::mustBeANumber(ClauseField::Max);
        }
    }

    /** @throws UnfitChange when it sets a floor outside the range */
    public function wholeMin(int $least, int $most): ?int
    {
        return $this->min === null ? null : self::whole(ClauseField::Min, (float) $this->min, $least, $most);
    }

    /** @throws UnfitChange when it sets a ceiling that is not a whole number of the range */
    public function wholeMax(int $least, int $most): ?int
    {
        return $this->max === null ? null : self::whole(ClauseField::Max, $this->max, $least, $most);
    }

    private function value(ClauseField $field): mixed
    {
        return match ($field) {
            ClauseField::Min => $this->min,
            ClauseField::Max => $this->max ?? ($this->openMax ?: null),
            ClauseField::Effect => $this->effects,
            ClauseField::Extent => $this->extent,
            ClauseField::Passes => $this->passes,
            ClauseField::By => $this->by,
            ClauseField::Place => $this->place,
            ClauseField::Minutes => $this->minutes,
            ClauseField::Technique => $this->technique,
            ClauseField::Family => $this->family,
            ClauseField::Status => $this->status,
            ClauseField::Price => $this->price,
            ClauseField::Criterion => $this->criterion,
            ClauseField::Limit => $this->limit,
            ClauseField::Role => $this->roles,
            ClauseField::Inspect => $this->sampled,
            ClauseField::Level => $this->level,
            ClauseField::Aql => $this->aql,
            ClauseField::Limits => $this->limits,
            ClauseField::Views => $this->views,
            ClauseField::Gates => $this->gates,
            ClauseField::Consent => $this->consent,
            ClauseField::Photographs => $this->photographs,
            ClauseField::Size => $this->sizes,
            ClauseField::Label => $this->label,
            ClauseField::ClientText => $this->clientText,
            ClauseField::Severity => $this->severity,
        };
    }

    private static function whole(ClauseField $field, float $value, int $least, int $most): int
    {
        return $value === floor($value) && $value >= $least && $value <= $most
            ? (int) $value
            : throw UnfitChange::outside($field, $least, $most);
    }
}
