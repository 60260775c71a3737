<?php

declare(strict_types=1);

namespace Ordotype\Core\Standard;

use Ordotype\Core\Sculpt\Role;
use Ordotype\Core\Sculpt\Sculpt;
use Ordotype\Core\Sculpt\Size;

/** What one piece costs the client. Money is a decimal string with two places; no `high` means "from". */
final readonly class PriceRange
{
    public function __construct(
        public Size $size,
        public Role $role,
        public string $tier,
        public string $low,
        public ?string $high,
    ) {
    }

    public function isFor(Tier $tier, Sculpt $sculpt): bool
    {
        return $this->tier === $tier->key && $this->size === $sculpt->size && $this->role === $sculpt->role;
    }
}
