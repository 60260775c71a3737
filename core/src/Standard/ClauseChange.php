<?php

declare(strict_types=1);

namespace Ordotype\Core\Standard;

use InvalidArgumentException;
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
        public ?PhotographsWanted $photographs = null,
    ) {
    }

    /** @return list<ClauseField> what it sets */
    public function fields(): array
    {
        $values = [
            [ClauseField::Min, $this->min],
            [ClauseField::Max, $this->max ?? ($this->openMax ?: null)],
            [ClauseField::Effect, $this->effects],
            [ClauseField::Extent, $this->extent],
            [ClauseField::Passes, $this->passes],
            [ClauseField::By, $this->by],
            [ClauseField::Place, $this->place],
            [ClauseField::Technique, $this->technique],
            [ClauseField::Family, $this->family],
            [ClauseField::Status, $this->status],
            [ClauseField::Price, $this->price],
            [ClauseField::Criterion, $this->criterion],
            [ClauseField::Limit, $this->limit],
            [ClauseField::Role, $this->roles],
            [ClauseField::Inspect, $this->sampled],
            [ClauseField::Level, $this->level],
            [ClauseField::Aql, $this->aql],
            [ClauseField::Limits, $this->limits],
            [ClauseField::Views, $this->views],
            [ClauseField::Gates, $this->gates],
            [ClauseField::Consent, $this->consent],
            [ClauseField::Photographs, $this->photographs],
            [ClauseField::Size, $this->sizes],
            [ClauseField::Label, $this->label],
            [ClauseField::ClientText, $this->clientText],
            [ClauseField::Severity, $this->severity],
        ];

        return array_values(array_map(fn (array $v) => $v[0], array_filter($values, fn (array $v) => $v[1] !== null)));
    }

    /** @throws UnfitChange when the clause has no such field, or cannot have such a value */
    public function of(Clause $clause): Clause
    {
        return match (true) {
            $clause instanceof StepsClause => $this->steps($clause),
            $clause instanceof SprayedColoursClause => $this->sprayed($clause),
            $clause instanceof EffectClause => $this->effect($clause),
            $clause instanceof TechniqueClause => $this->technique($clause),
            $clause instanceof FinishClause => $this->finish($clause),
            $clause instanceof AcceptanceClause => $this->acceptance($clause),
            $clause instanceof MinutesClause => $this->minutes($clause),
            $clause instanceof SkillClause => $this->skill($clause),
            default => throw new InvalidArgumentException('There is no such kind of clause: '.$clause::class),
        };
    }

    private function steps(StepsClause $c): StepsClause
    {
        $this->onlyHas(ClauseField::Min, ClauseField::Max);
        $max = $this->openMax
            ? null
            : ($this->max === null
                ? $c->max
                : $this->whole(ClauseField::Max, $this->max, 0, 99));

        return new StepsClause($this->id ?? $c->id, $this->min(0, 99) ?? $c->min, $max, ...$this->common($c));
    }

    private function sprayed(SprayedColoursClause $c): SprayedColoursClause
    {
        $this->onlyHas(ClauseField::Min, ClauseField::Max);
        $this->closed();
        $max = $this->max === null ? $c->max : $this->whole(ClauseField::Max, $this->max, 0, 99);

        return new SprayedColoursClause(
            $this->id ?? $c->id,
            $this->min(0, 99) ?? $c->min,
            $max,
            ...$this->common($c),
        );
    }

    private function effect(EffectClause $c): EffectClause
    {
        $this->onlyHas(
            ClauseField::Effect,
            ClauseField::Extent,
            ClauseField::Passes,
            ClauseField::By,
            ClauseField::Place,
        );
        $effects = $this->effects === null || $this->effects === [] ? $c->effects : $this->effects;

        return new EffectClause(
            $this->id ?? $c->id,
            $effects,
            $this->extent ?? $c->extent,
            $this->passes ?? $c->passes,
            $this->by ?? $c->by,
            ...$this->common($c),
            place: $this->place ?? $c->place,
        );
    }

    private function technique(TechniqueClause $c): TechniqueClause
    {
        $this->onlyHas(
            ClauseField::Technique,
            ClauseField::Family,
            ClauseField::Status,
            ClauseField::Extent,
            ClauseField::Passes,
            ClauseField::Price,
            ClauseField::Place,
        );
        if ($this->technique !== null && ($c->technique === null || $this->family !== null)) {
            throw UnfitChange::notThere(ClauseField::Technique);
        }
        if ($this->family !== null && $c->family === null) {
            throw UnfitChange::notThere(ClauseField::Family);
        }

        return new TechniqueClause(
            $this->id ?? $c->id,
            $this->technique ?? $c->technique,
            $this->family ?? $c->family,
            $this->status ?? $c->status,
            $this->extent ?? $c->extent,
            $this->passes ?? $c->passes,
            $this->price ?? $c->price,
            ...$this->common($c),
            place: $this->place ?? $c->place,
        );
    }

    private function finish(FinishClause $c): FinishClause
    {
        $this->onlyHas(ClauseField::Criterion, ClauseField::Limit);

        return new FinishClause(
            $this->id ?? $c->id,
            $this->criterion ?? $c->criterion,
            $this->limit ?? $c->limit,
            ...$this->common($c),
        );
    }

    private function acceptance(AcceptanceClause $c): AcceptanceClause
    {
        $this->onlyHas(
            ClauseField::Role,
            ClauseField::Inspect,
            ClauseField::Level,
            ClauseField::Aql,
            ClauseField::Limits,
            ClauseField::Views,
            ClauseField::Gates,
            ClauseField::Consent,
            ClauseField::Photographs,
        );

        return new AcceptanceClause(
            $this->id ?? $c->id,
            $this->roles ?? $c->role,
            $this->sampled ?? $c->sampled,
            $this->level ?? $c->level,
            $this->aql ?? $c->aql,
            $this->limits ?? $c->limits,
            $this->views ?? $c->views,
            $this->gates ?? $c->gates,
            $this->consent ?? $c->consent,
            ...$this->common($c),
            photographs: $this->photographs ?? $c->photographs,
        );
    }

    private function minutes(MinutesClause $c): MinutesClause
    {
        $this->onlyHas(ClauseField::Size, ClauseField::Max);
        $this->closed();

        return new MinutesClause(
            $this->id ?? $c->id,
            $this->sizes ?? $c->size,
            $this->max ?? $c->max,
            ...$this->common($c),
        );
    }

    private function skill(SkillClause $c): SkillClause
    {
        $this->onlyHas(ClauseField::Min);

        return new SkillClause($this->id ?? $c->id, $this->min(1, 5) ?? $c->min, ...$this->common($c));
    }

    /** @return array{Scope|null, string|null, string|null, Severity|null} in the order of the constructors */
    private function common(Clause $c): array
    {
        return [
            $c->scope,
            $this->label ?? $c->label,
            $this->clientText ?? $c->clientText,
            $this->severity ?? $c->severity,
        ];
    }

    private function onlyHas(ClauseField ...$known): void
    {
        foreach ($this->fields() as $field) {
            if (! $field->isOfEveryClause() && ! in_array($field, $known, true)) {
                throw UnfitChange::notThere($field);
            }
        }
    }

    private function closed(): void
    {
        if ($this->openMax) {
            throw UnfitChange::mustBeANumber(ClauseField::Max);
        }
    }

    private function min(int $least, int $most): ?int
    {
        return $this->min === null ? null : $this->whole(ClauseField::Min, (float) $this->min, $least, $most);
    }

    private function whole(ClauseField $field, float $value, int $least, int $most): int
    {
        return $value === floor($value) && $value >= $least && $value <= $most
            ? (int) $value
            : throw UnfitChange::outside($field, $least, $most);
    }
}
