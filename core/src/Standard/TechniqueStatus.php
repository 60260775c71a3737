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
}
