<?php

declare(strict_types=1);

namespace App\Actions\Orders;

use App\Exceptions\QuoteRefused;
use App\Models\Order;
use App\Queries\Orders\LettersForOrder;
use App\Studio\ActivityLog;
use Illuminate\Mail\Message;
use Illuminate\Support\Facades\Mail;

/** Sends words that somebody read, where a mailer is configured. */
final class SendLetter
{
    public function __construct(private readonly ActivityLog $log)
    {
    }

    public function __invoke(Order $order, string $to, string $subject, string $text): void
    {
        if (! LettersForOrder::maySend()) {
            throw QuoteRefused::noMailer();
        }
        Mail::raw($text, fn (Message $m) => $m->to($to)->subject($subject));
        // To whom and in which words is not for a log that keeps everything.
        $this->log->write('letter.sent', $order, null, []);
    }
}
