@php($n = count($q['units']))
<table cellpadding="2.5" style="font-size:9.5pt" nobr="true">
<tr><td width="64%" style="border-top:0.3mm solid #222"></td><td width="18%" align="right" style="border-top:0.3mm solid #222"><b>price</b></td><td width="18%" align="right" style="border-top:0.3mm solid #222"><b>{{ $q['is_fixed'] ? '' : 'at most' }}</b></td></tr>
@foreach ($q['units'] as $i => $u)
<tr><td>{{ $u['count'] }} × {{ $u['figure'] }}{{ $u['label'] === null ? '' : ", {$u['label']}" }}, {{ $u['tier_name'] }}</td><td align="right">{{ $money($q['sums']['lines'][$i]['price']) }}</td><td align="right">{{ $q['is_fixed'] ? '' : $money($q['sums']['lines'][$i]['ceiling']) }}</td></tr>
@endforeach
@foreach (array_filter($q['extras'], fn ($e) => $e['ticked']) as $e)
<tr><td>{{ $e['count'] > 1 ? "{$e['count']} × " : '' }}{{ $e['words'] }}</td><td align="right">{{ $money($q['sums']['lines'][$n]['price']) }}</td><td align="right">{{ $q['is_fixed'] ? '' : $money($q['sums']['lines'][$n]['ceiling']) }}</td></tr>
@php($n++)
@endforeach
@foreach (array_filter($q['contingencies'], fn ($c) => $c['came_true']) as $c)
<tr><td>{{ $c['words'] }}</td><td align="right">{{ $money($q['sums']['lines'][$n]['price']) }}</td><td align="right">{{ $q['is_fixed'] ? '' : $money($q['sums']['lines'][$n]['ceiling']) }}</td></tr>
@php($n++)
@endforeach
@if ($q['discount'] !== null)
<tr><td>{{ $q['discount']['reason'] }}{{ $q['discount']['percent'] === null ? '' : ", {$q['discount']['percent']} %" }}</td><td align="right">−{{ $money($q['sums']['discount']) }}</td><td align="right">{{ $q['is_fixed'] ? '' : '−'.$money($q['sums']['discount_at_most']) }}</td></tr>
@endif
@foreach ($q['lines'] as $line)
<tr><td>{{ $line['words'] }}</td><td align="right">{{ $money($q['sums']['lines'][$n]['price']) }}</td><td align="right">{{ $q['is_fixed'] ? '' : $money($q['sums']['lines'][$n]['ceiling']) }}</td></tr>
@php($n++)
@endforeach
@if (! $q['tax']['included'])
@foreach ($q['sums']['taxes'] as $tax)
<tr><td>Tax, {{ $tax['rate'] }} %</td><td align="right">{{ $money($tax['price']) }}</td><td align="right">{{ $q['is_fixed'] ? '' : $money($tax['ceiling']) }}</td></tr>
@endforeach
@endif
<tr><td style="border-top:0.3mm solid #222"><b>All of it</b></td><td align="right" style="border-top:0.3mm solid #222"><b>{{ $money($q['sums']['price']) }}</b></td><td align="right" style="border-top:0.3mm solid #222"><b>{{ $q['is_fixed'] ? '' : $money($q['sums']['ceiling']) }}</b></td></tr>
@if ($q['tax']['included'])
@foreach ($q['sums']['taxes'] as $tax)
<tr><td style="color:#555">with tax of {{ $tax['rate'] }} % in it</td><td align="right" style="color:#555">{{ $money($tax['price']) }}</td><td align="right" style="color:#555">{{ $q['is_fixed'] ? '' : $money($tax['ceiling']) }}</td></tr>
@endforeach
@endif
</table>
@php($choice = array_filter($q['extras'], fn ($e) => ! $e['ticked']))
@if ($choice !== [])
<p><b>If you would have it</b><br>
@foreach ($choice as $e)
☐ {{ $e['count'] > 1 ? "{$e['count']} × " : '' }}{{ $e['words'] }}{{ $e['from'] === null ? '' : ", from {$e['from']}" }}: {{ $money($e['price']) }}{{ $e['count'] > 1 ? ' each' : '' }}<br>
@endforeach
</p>
@endif
@php($moves = array_filter($q['contingencies'], fn ($c) => ! $c['came_true']))
@if ($moves !== [] && ! $q['settled'])
<p><b>What moves the price</b><br>
@foreach ($moves as $c)
{{ $c['words'] }}: +{{ $money($c['amount']) }}<br>
@endforeach
</p>
@endif
@if ($q['payments'] !== [])
<p><b>Payments</b><br>
@foreach ($q['payments'] as $p)
{{ $p['on'] === null ? $p['words'] : 'on '.$day($p['on']) }}: {{ $money($p['sum']) }}{{ $p['percent'] === null ? '' : " ({$p['percent']} %)" }}<br>
@endforeach
</p>
@endif
<p style="color:#555;font-size:8pt">Nothing is binding before you say yes. @if (! $q['is_fixed'])The price stays under what it is at most unless you change something. @endif Pictures are drawn, not photographed.</p>
