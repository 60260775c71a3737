<?php

declare(strict_types=1);

namespace Ordotype\Core\Standard;

/** Whether the views of a check must be photographed, too. Drawn pictures never count. */
enum PhotographsWanted: string
{
    case None = 'none';
    case WhereThereAre = 'where_there_are';
    case Required = 'required';
}
