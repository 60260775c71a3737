<?php

declare(strict_types=1);

namespace Ordotype\Core\Standard;

/** Points where work is looked at before it goes on. */
enum Gate: string
{
    case Prepared = 'prepared';
    case Undercoated = 'undercoated';
    case TestModel = 'test_model';
    case BeforeVarnish = 'before_varnish';
    case Joined = 'joined';
    case Final = 'final';
}
