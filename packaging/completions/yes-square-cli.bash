# bash completion of yes-square-cli
_yes_square_cli() {
    local cur prev words cword
    _init_completion || return
    local command=${words[1]}
    case $prev in
        --format)
            COMPREPLY=($(compgen -W "svg dxf csv csv-comma json pocket" -- "$cur"))
            return
            ;;
        --survey | --units | --packing-list)
            _filedir csv
            return
            ;;
        --pocket)
            _filedir json
            return
            ;;
        --dxf)
            _filedir dxf
            return
            ;;
        --unit)
            COMPREPLY=($(compgen -W "mm cm in/16 ft-in/16" -- "$cur"))
            return
            ;;
        --lang)
            COMPREPLY=($(compgen -W "en de" -- "$cur"))
            return
            ;;
        --with)
            _filedir
            return
            ;;
        --folder)
            _filedir -d
            return
            ;;
        --to)
            case $command in
                export | unbundle) _filedir -d ;;
                bundle) _filedir zip ;;
                *) _filedir yesq ;;
            esac
            return
            ;;
        --wall | --kind | --from | --until)
            return
            ;;
    esac
    if ((cword == 1)); then
        COMPREPLY=($(compgen -W "reckon check export import book compare merge bundle unbundle schema --help --version --lang" -- "$cur"))
        return
    fi
    if [[ $cur == -* ]]; then
        local options=--help
        case $command in
            reckon | check) options+=" --json --unit" ;;
            export) options+=" --to --format --json --unit" ;;
            import) options+=" --to --survey --dxf --wall --units --packing-list --pocket --json" ;;
            book) options+=" --folder --kind --from --until --json" ;;
            compare) options+=" --json --unit" ;;
            merge) options+=" --to --take-theirs --json" ;;
            bundle) options+=" --to --with --json" ;;
            unbundle) options+=" --to --json" ;;
            schema) options+=" --plan" ;;
        esac
        COMPREPLY=($(compgen -W "$options" -- "$cur"))
        return
    fi
    if [[ $command == book ]]; then
        _filedir
    elif [[ $command == unbundle ]]; then
        _filedir zip
    else
        _filedir yesq
    fi
} &&
    complete -F _yes_square_cli yes-square-cli
