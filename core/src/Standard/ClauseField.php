<?php

declare(strict_types=1);

namespace Ordotype\Core\Standard;

/** The fields of clauses that an amendment may set, by the words of the formats. */
enum ClauseField: string
{
    case Min = 'min';
    case Max = 'max';
    case Effect = 'effect';
    case Extent = 'extent';
    case Passes = 'passes';
    case By = 'by';
    case Place = 'place';
    case Technique = 'technique';
    case Family = 'family';
    case Status = 'status';
    case Price = 'price';
    case Minutes = 'minutes';
    case Criterion = 'criterion';
    case Limit = 'limit';
    case Role = 'role';
    case Inspect = 'inspect';
    case Level = 'level';
    case Aql = 'aql';
    case Limits = 'limits';
    case Views = 'views';
    case Gates = 'gates';
    case Consent = 'consent';
    case Photographs = 'photographs';
    case Size = 'size';
    case Label = 'label';
    case ClientText = 'client_text';
    case Severity = 'severity';

    public function isOfEveryClause(): bool
    {
        return match ($this) {
            self::Label, self::ClientText, self::Severity => true,
            self::Min, self::Max, self::Effect, self::Extent, self::Passes, self::By, self::Place, self::Technique,
            self::Family, self::Status, self::Price,
            self::Minutes, self::Criterion, self::Limit, self::Role, self::Inspect,
            self::Level, self::Aql, self::Limits, self::Views, self::Gates, self::Consent, self::Photographs,
            self::Size => false,
        };
    }
}
