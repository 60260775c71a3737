<?php

declare(strict_types=1);

namespace App\Http\Controllers\Orders;

use App\Http\Requests\NothingSent;
use App\Models\Order;
use App\Models\Parcel;
use App\Pdf\OrderPapers;
use App\Queries\Orders\PieceByCode;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Response;

/** Papers that go with models, and where the marks on them lead. */
final class PaperController
{
    public function __construct(private readonly OrderPapers $papers)
    {
    }

    public function labels(NothingSent $given, Order $order): Response
    {
        $address = OrderPapers::address($given->getSchemeAndHttpHost());

        return self::pdf($this->papers->labels($order, $address), "labels-$order->number");
    }

    public function slip(Parcel $parcel): Response
    {
        return self::pdf($this->papers->slip($parcel), "slip-$parcel->id");
    }

    public function code(NothingSent $given, string $code): JsonResponse
    {
        return new JsonResponse(PieceByCode::of($code, $given->person()));
    }

    private static function pdf(string $bytes, string $name): Response
    {
        return new Response($bytes, 200, [
            'Content-Type' => 'application/pdf',
            'Content-Disposition' => "inline; filename=\"$name.pdf\"",
        ]);
    }
}
