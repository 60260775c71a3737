<h1 style="font-size:18pt;font-weight:normal">{{ $order->title }}</h1>
<p>Quote {{ $q['number'] }} of order {{ $order->number }}, open until <b>{{ $day($q['until']) }}</b>@if ($q['promised'] !== null), for {{ $day($q['promised']) }}@endif</p>
@if ($q['changes'] !== [])
<p style="font-size:8pt"><b>Since the last one</b><br>
@foreach ($q['changes'] as $change)
{{ $change['sign'] === '-' ? '−' : ($change['sign'] === '+' ? '+' : '·') }} {{ $change['words'] }}, {{ $money($change['amount']) }}<br>
@endforeach
</p>
@endif
<p></p>
