<?php

declare(strict_types=1);

namespace Ordotype\Core\Studio;

/** What there is to write to a client about. */
enum Letter: string
{
    case Quote = 'quote';
    case Reminder = 'reminder';
    case Question = 'question';
    case NewDay = 'new_day';
    case Ready = 'ready';
    case Sent = 'sent';
}
