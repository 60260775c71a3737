<?php

declare(strict_types=1);

namespace Ordotype\Core\Ladder;

/** A change of a standard that can be made by pressing a button, and taken back. */
interface Change
{
}
