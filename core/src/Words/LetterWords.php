<?php

declare(strict_types=1);

namespace Ordotype\Core\Words;

use Ordotype\Core\Studio\Letter;

/** Words to a client, prepared: nobody gets them before somebody reads and sends them. */
final class LetterWords
{
    /** Stands where the address of the client's page goes, which nobody but who made it knows. */
    public const PAGE = '[the address of your page]';

    public static function about(Letter $letter): string
    {
        return match ($letter) {
            Letter::Quote => 'The quote',
            Letter::Reminder => 'A reminder of the quote',
            Letter::Question => 'A question',
            Letter::NewDay => 'A new day',
            Letter::Ready => 'It is ready to be sent',
            Letter::Sent => 'It is on its way',
        };
    }

    public static function subject(Letter $letter, string $title): string
    {
        return match ($letter) {
            Letter::Quote => "Your quote for $title",
            Letter::Reminder => "Your quote for $title is still open",
            Letter::Question => "A question about $title",
            Letter::NewDay => "A new day for $title",
            Letter::Ready => "$title is ready",
            Letter::Sent => "$title is on its way",
        };
    }

    /**
     * @param  array{price: string|null, ceiling: string|null, until: string|null, day: string|null,
     *     question: string|null, way: string|null}  $of  each as it is to be read
     */
    public static function text(Letter $letter, string $client, string $studio, array $of): string
    {
        $price = $of['ceiling'] === null || $of['ceiling'] === $of['price']
            ? "It comes to {$of['price']}."
            : "It comes to about {$of['price']}, at most {$of['ceiling']} unless you change something.";
        $page = self::PAGE;
        $lines = match ($letter) {
            Letter::Quote => [
                'here is how we would paint your models, unit by unit, with pictures of each tier.',
                "$price It holds until {$of['until']}, and nothing is binding before you say yes.",
                "Look at it, tick what you would have beside it, ask, or say yes here: $page",
            ],
            Letter::Reminder => [
                "our quote is still open until {$of['until']}. $price",
                "If something about it is not right, tell us: another tier or number is quickly made. $page",
                'If we hear nothing, nothing happens: silence is no yes.',
            ],
            Letter::Question => [
                'we have a question before we go on:',
                "{$of['question']}",
                "You can answer here: $page",
            ],
            Letter::NewDay => [
                "we will not make the day that we promised. The new one is {$of['day']}.",
                "How far your models are is seen here: $page If this day does not suit you, tell us.",
            ],
            Letter::Ready => [
                'your models are painted, checked and signed off.',
                "Photographs and certificates are here: $page Tell us where they go, and we pack them.",
            ],
            Letter::Sent => [
                "your models are on their way{$of['way']}.",
                "Photographs, certificates and how to look after the paint are here: $page",
            ],
        };

        return "Dear $client,\n\n".implode("\n\n", $lines)."\n\n$studio";
    }
}
