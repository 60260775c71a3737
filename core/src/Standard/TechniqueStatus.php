<?php

declare(strict_types=1);

namespace Ordotype\Core\Standard;

/** What a tier says of a technique on an area. */
enum TechniqueStatus: string
{
    case Required = 'required';
    case Allowed = 'allowed';
    case OnRequest = 'on_request';
    case NotOffered = 'not_offered';
    case ToAgree = 'to_agree';

    /** Whether a tier may say it of all techniques that no clause names. */
    public function isForWhatNoClauseNames(): bool
    {
        return match ($this) {
            self::Allowed, self::OnRequest, self::NotOffered => true,
            self::Required, self::ToAgree => false,
        };
    }

    /** Whether a plan may use the technique. */
    public function isUsable(): bool
    {
        return match ($this) {
            self::Required, self::Allowed => true,
            self::OnRequest, self::NotOffered, self::ToAgree => false,
        };
    }
}
