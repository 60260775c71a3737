<?php

declare(strict_types=1);

namespace Ordotype\Core\Studio;

/** Whether an order goes out as a quote before it is accepted. */
enum QuotesSetting: string
{
    case Always = 'always';
    case WhenAsked = 'when_asked';
    case Never = 'never';
}
