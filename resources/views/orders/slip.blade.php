<h1 style="font-size:18pt;font-weight:normal">{{ $order->title }}</h1>
<p>Order {{ $order->number }}, sent {{ $parcel->on_day->format('j F Y') }} by {{ $parcel->way }}{{ $parcel->tracking === null ? '' : ", $parcel->tracking" }}</p>
@if ($parcel->recipient !== null)
<p>To {{ $parcel->recipient }}</p>
@endif
@foreach ($units as $unit)
<h2 style="font-size:11pt">{{ count($unit['pieces']) }} × {{ $unit['name'] }}, {{ $unit['tier'] }}</h2>
<ul>
@foreach ($unit['promised'] as $line)
<li>{{ $line }}</li>
@endforeach
</ul>
<p style="font-size:8pt">
@foreach ($unit['pieces'] as $piece)
{{ $piece['code'] }}{{ $piece['certificate'] === null ? '' : ", certificate {$piece['certificate']}" }}@if (! $loop->last); @endif
@endforeach
</p>
@if ($unit['spares'] !== null)
<p>Spares that come back with them: {{ $unit['spares'] }}</p>
@endif
@endforeach
<h2 style="font-size:11pt">How to look after the paint</h2>
<p>Let them come to the warmth of the room before you unpack them. Hold them by the base. Dust goes with a soft, dry brush; no water, no cleaner. Keep them out of the sun, and apart from each other in a case.</p>
